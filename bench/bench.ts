import { coreRows } from './core-bench';
import { printTable } from './measure';
import { programRows } from './program-bench';

printTable([...coreRows(), ...(await programRows())]);

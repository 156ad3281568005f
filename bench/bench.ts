import { coreRows } from './core-bench';
import { printTable } from './measure';
import { programRows } from './program-bench';
import { surfaceRows } from './surface-bench';

printTable([...coreRows(), ...(await surfaceRows()), ...(await programRows())]);

import { coreRows } from './core-bench';
import { printTable } from './measure';
import { programRows } from './program-bench';
import { fadeRows } from './fade-bench';
import { ringRows } from './ring-bench';
import { surfaceRows } from './surface-bench';

printTable([...coreRows(), ...fadeRows(), ...ringRows(), ...(await surfaceRows()), ...(await programRows())]);

export { glossary, type Term } from './glossary';

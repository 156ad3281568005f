export { suggestedDesign } from './suggested-coats';
export { suggestedOtherwise, type Otherwise } from './suggested-otherwise';

export {
  AMONG_THE_CODES,
  codeText,
  pairedSchema,
  sharingSchema,
  typedCode,
  type Paired,
  type Sees,
  type Sharing,
  type SharingWish,
  seesSchema,
  sharingWishSchema,
} from './sharing';

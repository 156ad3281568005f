import { createRequire } from 'node:module';

const files = createRequire(import.meta.url);
/* Unpacked fonts: of a packed one, each glyph would have all of them unpacked again, which took half a second a page. */
const fontFile = (font: string): string => files.resolve(`@expo-google-fonts/${font}.ttf`);

/** Everything is set in these. */
const ours = {
  Figtree: {
    normal: fontFile('figtree/400Regular/Figtree_400Regular'),
    bold: fontFile('figtree/700Bold/Figtree_700Bold'),
  },
  Bricolage: {
    normal: fontFile('bricolage-grotesque/700Bold/BricolageGrotesque_700Bold'),
    bold: fontFile('bricolage-grotesque/800ExtraBold/BricolageGrotesque_800ExtraBold'),
  },
};

const inBoth = (font: string) => ({ normal: fontFile(font), bold: fontFile(font) });

/** What names and notes hold beside: letters of other scripts and signs, the first font that has them taken. */
const others = {
  'Noto Sans': {
    normal: fontFile('noto-sans/400Regular/NotoSans_400Regular'),
    bold: fontFile('noto-sans/700Bold/NotoSans_700Bold'),
  },
  'Noto Sans Hebrew': {
    normal: fontFile('noto-sans-hebrew/400Regular/NotoSansHebrew_400Regular'),
    bold: fontFile('noto-sans-hebrew/700Bold/NotoSansHebrew_700Bold'),
  },
  'Noto Sans Arabic': {
    normal: fontFile('noto-sans-arabic/400Regular/NotoSansArabic_400Regular'),
    bold: fontFile('noto-sans-arabic/700Bold/NotoSansArabic_700Bold'),
  },
  'Noto Sans Thai': {
    normal: fontFile('noto-sans-thai/400Regular/NotoSansThai_400Regular'),
    bold: fontFile('noto-sans-thai/700Bold/NotoSansThai_700Bold'),
  },
  'Noto Emoji': {
    normal: fontFile('noto-emoji/400Regular/NotoEmoji_400Regular'),
    bold: fontFile('noto-emoji/700Bold/NotoEmoji_700Bold'),
  },
  'Gowun Dodum': inBoth('gowun-dodum/400Regular/GowunDodum_400Regular'),
  'Chocolate Classical Sans': inBoth('chocolate-classical-sans/400Regular/ChocolateClassicalSans_400Regular'),
};

/** Every font a page is printed with, by its name. */
export const printedFonts = { ...ours, ...others };
export type FontName = keyof typeof printedFonts;

/** Those that letters are looked for in, one after the other, where ours have none. */
export const otherFonts = Object.keys(others) as readonly (keyof typeof others)[];
export const ourFonts = Object.keys(ours) as readonly (keyof typeof ours)[];

import { exceptionFor } from '../design';
import type { Facts, Finding, FindingLevel, Rule } from './finding';
import { aboveLip } from './rules/above-lip';
import { areaCovered, motifsFit } from './rules/areas-fit';
import { buried } from './rules/buried';
import { chunkyGlue } from './rules/chunky-glue';
import { decalOnGloss } from './rules/decal-on-gloss';
import { decalOnGlitter } from './rules/decal-on-glitter';
import { fadeBaseShows, fadeOpenTime, fadeShows } from './rules/fades';
import { fastGlue } from './rules/fast-glue';
import { glitterWithoutGlue } from './rules/glitter-without-glue';
import { gradedAlike } from './rules/graded-alike';
import { inkLoad } from './rules/ink-load';
import { pressChunky } from './rules/press-chunky';
import { room } from './rules/room';
import { sandIntoFlakes } from './rules/sand-into-flakes';
import { scuffed } from './rules/scuffed';
import { seeThroughGround } from './rules/see-through-ground';
import { missingItem } from './rules/shelf';
import { agedResin, notEnough } from './rules/stock';
import { thickFilm } from './rules/thick-film';
import { typicalMaterials } from './rules/typical-materials';
import { blendNotPoured, glitterNotClosed, nothingToPour } from './rules/unfinished';
import { unsealedGlitter } from './rules/unsealed-glitter';
import { mixInTime, recoatWindow, sandCured } from './rules/bonds';
import { coatOnNothing } from './rules/coat-on-nothing';
import { pearlOnLight } from './rules/pearl-on-light';
import { baseFarOff, thinCover } from './rules/thin-cover';
import { whiteUnder } from './rules/white-under';
import { loosePowder } from './rules/loose-powder';
import { masksComeOff, maskUnderResin, tapeOnFreshPaint } from './rules/masks';
import { flameOverInk } from './rules/flame';
import { lightBeforeDark } from './rules/light-before-dark';
import { muddyStrings } from './rules/muddy-strings';
import { motifShows } from './rules/motif-shows';
import { outlineCovers, pieceOffTheCup, pieceUnderHandle, stripFits } from './rules/pieces';
import { rimLine } from './rules/rim-line';
import { sealFilm } from './rules/seal-film';
import { crackleFallsShort, surfaceInkOnRough, surfaceInkUnsealed } from './rules/surface-ink';
import { stringsAlong, stringsEnd, stringsInWet, stringsRest, stringsRun } from './rules/strings';
import { glueForNothing, glueOnSoftGlue, intoSoftCoat } from './rules/soft-coats';

/** Every rule of the check; one file a subject. */
export const rules: readonly Rule[] = [
  missingItem,
  glitterWithoutGlue,
  blendNotPoured,
  nothingToPour,
  glitterNotClosed,
  thickFilm,
  decalOnGlitter,
  decalOnGloss,
  sandIntoFlakes,
  buried,
  scuffed,
  masksComeOff,
  maskUnderResin,
  tapeOnFreshPaint,
  glueOnSoftGlue,
  glueForNothing,
  intoSoftCoat,
  stringsInWet,
  stringsAlong,
  stringsEnd,
  stringsRun,
  stringsRest,
  muddyStrings,
  surfaceInkUnsealed,
  surfaceInkOnRough,
  crackleFallsShort,
  loosePowder,
  sealFilm,
  pieceOffTheCup,
  pieceUnderHandle,
  stripFits,
  outlineCovers,
  recoatWindow,
  sandCured,
  rimLine,
  mixInTime,
  flameOverInk,
  coatOnNothing,
  whiteUnder,
  thinCover,
  baseFarOff,
  pearlOnLight,
  seeThroughGround,
  inkLoad,
  gradedAlike,
  unsealedGlitter,
  lightBeforeDark,
  motifShows,
  pressChunky,
  chunkyGlue,
  fastGlue,
  fadeShows,
  fadeBaseShows,
  fadeOpenTime,
  aboveLip,
  motifsFit,
  areaCovered,
  room,
  notEnough,
  agedResin,
  typicalMaterials,
];

const order: Record<FindingLevel, number> = { stop: 0, look: 1, tip: 2 };

/** All findings, the gravest first; what the maker leaves so last. */
export function checkDesign(facts: Facts): readonly Finding[] {
  return rules
    .flatMap((rule) => rule.find(facts).map((finding) => ({ rule: rule.name, ...finding })))
    .map((finding) => ({ ...finding, accepted: exceptionFor(facts.design, finding) }))
    .sort((a, b) => Number(a.accepted !== null) - Number(b.accepted !== null) || order[a.level] - order[b.level]);
}

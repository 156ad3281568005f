import { areaWords } from '../areas';
import { healthNotes, typicalMaterials } from '../check';
import type { PlannedCoat } from '../coats';
import type { Design, Settings } from '../design';
import { LEFT_OVER, strewnAreas, type PlannedArea } from '../layout';
import type { Plan } from '../plan';
import type { PlannedPot } from '../pots';
import {
  amountText,
  areaText,
  countText,
  durationText,
  gramText,
  lengthText,
  percentText,
  thicknessText,
  type Units,
} from '../units';
import { baseWords, madeFirstWords, potRecipe, pouringOrder, strewnSpan } from './fade-words';
import { gradedLines } from './graded-lines';

/** The printed recipe as text in its places; every figure is already in the maker's units. */
export interface Card {
  readonly title: string;
  /** whose card it is; may be empty */
  readonly workshop: string;
  readonly cup: string;
  readonly areas: readonly {
    name: string;
    colour: string;
    where: string;
    size: string;
    glitters: readonly { name: string; cut: string; amount: string; share: string }[];
    total: string;
    outcome: string;
  }[];
  readonly coats: readonly {
    number: number;
    title: string;
    where: string;
    amounts: readonly string[];
    does: string;
    wait: string;
    cautions: readonly string[];
    /** hex of each place of the wall once it is on, in the order of the areas; nothing where it changes none of them */
    seen: readonly string[];
  }[];
  /** what the colours beside the coats are */
  readonly grows: string;
  readonly totals: readonly { figure: string; label: string }[];
  readonly look: readonly string[];
  readonly health: readonly string[];
  readonly note: string;
}

/** Lays a plan out as a card. It only words what the plan says. */
export function cardOf(plan: Plan, design: Design, settings: Settings): Card {
  const { units } = settings;
  const { cup } = design;
  return {
    title: plan.name,
    workshop: settings.name,
    cup: `${cup.name}, ${cup.shape}, ${lengthText(plan.surface.height, units)} tall, ${lengthText(plan.surface.footCircumference, units)} round the foot and ${lengthText(plan.surface.rimCircumference, units)} round the rim; ${lengthText(cup.lipStrip, units)} under the lip stays bare${cup.seam ? `; seam: ${cup.seam}` : ''}`,
    areas: plan.areas.areas.flatMap((area) => {
      const fade = plan.fades.find((one) => one.area === area.id);
      if (fade?.laid) return fadeRows(fade.laid.pots, area, plan, design, units);
      const blend = plan.blends.find((one) => one.area === area.id);
      return {
        name: area.name,
        colour: plan.finished[area.id],
        where: whereText(area, design, units),
        size: areaText(area.area, units),
        glitters: (blend?.parts ?? []).map((part) => ({
          name: part.name,
          cut: part.missing ? '' : part.cuts,
          amount: partText(part, units),
          share: percentText(part.faceShare),
        })),
        total: blend ? blendTotal(blend, units) : '',
        outcome: blend ? outcomeText(blend) : 'no glitter',
      };
    }),
    coats: plan.coats.map((coat, index) => ({
      number: index + 1,
      title: coat.title,
      where: coat.where,
      amounts: [...amountLines(coat, units, plan.fades), ...baseLines(plan, design, index, units)],
      does: doesText(plan.coats, index),
      wait:
        coat.wait.minutes > 0 ? `Then wait ${durationText(coat.wait.minutes)}: ${coat.wait.until}.` : `Go on ${coat.wait.until}.`,
      cautions: coat.cautions.filter(
        (caution) => !plan.coats.slice(0, index).some((earlier) => earlier.cautions.includes(caution)),
      ),
      seen: seenAfter(plan, index),
    })),
    grows: `Coats in order. Beside them: what is seen of each area once a coat is on, left to right as listed above${
      design.coats.some((coat) => 'between' in coat && coat.between) ? ', parts of one from the foot up' : ''
    }.${plan.throughGloss ? ' Colours under resin are told as seen through its gloss.' : ''}`,
    totals: tallyOf(plan, units),
    look: plan.findings
      .filter(({ level, rule }) => level !== 'tip' || rule === typicalMaterials.name)
      .map(({ says, why, accepted }) => (accepted === null ? `${says} ${why}` : `${says} Meant so: ${accepted}`)),
    health: healthNotes,
    note: design.note,
  };
}

/** How the cup grows: what a coat leaves to be seen. */
function seenAfter({ places, coats, bareWall }: Plan, index: number): readonly string[] {
  const listed = places.filter(({ area }) => area !== LEFT_OVER);
  const seen = listed.map(({ id }) => coats[index].seen[id]);
  const before = listed.map(({ id }) => (index > 0 ? coats[index - 1].seen[id] : bareWall));
  return seen.some((hex, at) => hex !== before[at]) ? seen : [];
}

/** A fading area pot by pot: what goes into each, and where it is strewn. */
function fadeRows(
  pots: readonly PlannedPot[],
  area: PlannedArea,
  plan: Plan,
  design: Design,
  units: Units,
): readonly Card['areas'][number][] {
  const fade = design.fades.find((one) => one.area === area.id);
  const of = design.areas.find(({ id }) => id === area.id);
  const strewn = fade && of ? strewnAreas(fade, of, area, design.cup) : [];
  return pots.map((pot, i) => {
    const pour = plan.coats.flatMap(({ pours }) => pours).find((one) => one.area === pot.id);
    return {
      name: pot.name,
      colour: plan.finished[pot.id],
      where: `${i === 0 ? `${whereText(area, design, units)}; ` : ''}strewn ${strewnSpan(pot, units)}`,
      size: areaText(strewn[i] ?? pot.area, units),
      glitters: (pour?.parts ?? []).map((part) => ({
        name: part.name,
        cut: part.cuts,
        amount: partText(part, units),
        share: percentText(part.faceShare),
      })),
      total: pour ? blendTotal(pour, units) : '',
      outcome: outcomeText({
        passes: plan.coats.filter(({ pours }) => pours.some((one) => one.area === pot.id)).length,
        bare: pot.bare,
      }),
    };
  });
}

/** How the area is laid, so that it can be laid again; a mask says so. */
function whereText(planned: PlannedArea, design: Design, units: Units): string {
  const area = design.areas.find(({ id }) => id === planned.id);
  const words = area ? areaWords(area, planned, units) : '';
  return planned.masked ? `${words}, masked` : words;
}

/** What to do; said once, so that a card of many coats stays one page. */
function doesText(coats: readonly PlannedCoat[], index: number): string {
  const first = coats.findIndex((coat) => coat.does === coats[index].does);
  return first < index ? `As coat ${first + 1}.` : coats[index].does;
}

const partText = (part: { ml: number; grams: number; gramsPerMl: number }, units: Units): string =>
  units.amount === 'gram'
    ? amountText(part.ml, units, part.gramsPerMl)
    : `${amountText(part.ml, units, part.gramsPerMl)} (${part.grams.toFixed(2)} g)`;

const blendTotal = (blend: { ml: number; grams: number }, units: Units): string =>
  units.amount === 'gram' ? `${blend.grams.toFixed(2)} g` : `${amountText(blend.ml, units, 1)} (${blend.grams.toFixed(2)} g)`;

const outcomeText = (blend: { passes: number; bare: number }): string =>
  `${blend.passes > 1 ? `${blend.passes} pours, ` : ''}${percentText(blend.bare, 1)} stays bare`;

/** What a coat takes, a line each, in the maker's units. */
export function amountLines(coat: PlannedCoat, units: Units, fades: Plan['fades']): readonly string[] {
  const lines: string[] = [];
  if (coat.area !== null && coat.thickness !== null)
    lines.push(`${areaText(coat.area, units)} at ${thicknessText(coat.thickness)}`);
  const { mix } = coat;
  if (mix) {
    const ratio = mix.ratio.join(':');
    const named = `${mix.resin.includes(ratio) ? mix.resin : `${mix.resin} ${ratio}`}${mix.ratioBy === 'weight' ? ' by weight' : ''}`;
    // Who measures by volume may still want to check it on the scale; what is mixed by weight only a scale keeps in ratio.
    const part = (ml: number, grams: number) => {
      const volume = amountText(ml, units, grams / ml);
      if (units.amount === 'gram') return volume;
      return mix.ratioBy === 'weight' ? `${gramText(grams)} (${volume})` : `${volume} (${gramText(grams)})`;
    };
    const whole = (mix.aGrams + mix.bGrams) / mix.mix;
    lines.push(`${named}: A ${part(mix.a, mix.aGrams)} + B ${part(mix.b, mix.bGrams)} = ${amountText(mix.mix, units, whole)}`);
    if (mix.fill > 0.05) lines.push(`${amountText(mix.fill, units, whole)} of it sinks into the glitter`);
  }
  (coat.graded ? [] : coat.drops).forEach(({ count, dose, ink, load }, at) => {
    const pot = coat.strings?.pots.at(at);
    lines.push(
      `${pot ? `${amountText(pot.ml, { ...units, amount: 'ml' }, 1)} held back: ` : ''}${countText(count, dose)} of ${ink}, ${percentText(load / 100, 1)} load`,
    );
  });
  if (coat.graded) lines.push(...gradedLines(coat.graded, coat.drops, units));
  for (const { reads, name, counted } of coat.uses) lines.push(`${counted ? '' : 'about '}${reads} of ${name}`);
  const pots = fades.flatMap(({ laid }) => laid?.pots ?? []);
  for (const pour of coat.pours) {
    const pot = pots.find(({ id }) => id === pour.area);
    // Pots are measured by the spoon, of mixes made first.
    if (pot) lines.push(`${pot.name}: ${potRecipe(pot, units)}`);
    else
      lines.push(
        `${pour.areaName}: ${pour.parts.map((part) => `${amountText(part.ml, units, part.gramsPerMl)} ${part.name}`).join(' + ')}`,
      );
  }
  return [...lines, ...fadeLines(fades, coat, units)];
}

/** What has to be known of fades whose pots a coat pours: what is made first, and in which order they go on. */
const fadeLines = (fades: Plan['fades'], { pours }: PlannedCoat, units: Units): readonly string[] =>
  fades
    .filter(({ slices }) => pours.some(({ area }) => slices.some(({ id }) => id === area)))
    .flatMap((fade) => [...madeFirstWords(fade, units), pouringOrder(fade)].map((line) => `${fade.areaName}: ${line}`));

/** Where a base coat fades, and into what. */
function baseLines({ fades }: Plan, design: Design, index: number, units: Units): readonly string[] {
  const coat = design.coats.at(index);
  if (coat?.kind !== 'base' || !coat.fading) return [];
  return fades
    .filter(({ area }) => coat.on === 'all' || coat.on.includes(area))
    .flatMap((fade) => baseWords(fade, units).map((line) => `${fade.areaName} ${line}`));
}

/** The figures at the foot of the workspace and of the card. */
export function tallyOf(plan: Plan, units: Units): readonly { figure: string; label: string }[] {
  const { totals } = plan;
  return [
    {
      figure: amountText(totals.glitterMl, units, totals.glitterMl > 0 ? totals.glitterGrams / totals.glitterMl : 1),
      label: `glitter, ${countText(totals.glitterKinds, 'kind')}`,
    },
    {
      figure: amountText(totals.resinMl, units, totals.resinMl > 0 ? totals.resinGrams / totals.resinMl : 1),
      label: `resin in ${countText(totals.mixes, 'mix', 'mixes')}`,
    },
    { figure: durationText(totals.handsOn), label: 'hands on' },
    { figure: durationText(totals.elapsed), label: 'first touch to cured' },
    { figure: thicknessText(totals.thickness), label: 'all coats together' },
  ];
}

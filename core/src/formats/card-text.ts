import { wrapText } from '../units';
import type { Card } from './card';

const WIDTH = 92;

/** A card as plain text for a terminal or a message. */
export function cardText(card: Card): string {
  const lines: string[] = [
    card.workshop ? `${card.title.toUpperCase()}, ${card.workshop}` : card.title.toUpperCase(),
    ...wrapped(card.cup, ''),
    '',
  ];
  lines.push('AREAS');
  for (const area of card.areas) {
    lines.push(`  ${area.name}  ${area.where}, ${area.size}; ${area.outcome}`);
    for (const glitter of area.glitters)
      lines.push(
        `    ${glitter.amount.padEnd(18)} ${glitter.name}${glitter.cut ? `, ${glitter.cut}` : ''}; ${glitter.share} of what faces you`,
      );
    if (area.glitters.length > 1) lines.push(`    ${area.total.padEnd(18)} in all, each pour`);
  }
  lines.push('', 'COATS, IN ORDER');
  for (const coat of card.coats) {
    lines.push(`${String(coat.number).padStart(3)}. ${coat.title} (${coat.where})`);
    for (const amount of coat.amounts) lines.push(...wrapped(amount, '     · '));
    lines.push(...wrapped(coat.does, '     '), ...wrapped(coat.wait, '     '));
    for (const caution of coat.cautions) lines.push(...wrapped(caution, '     ! '));
  }
  lines.push('', 'IN ALL', ...card.totals.map((total) => `  ${total.figure}  ${total.label}`));
  if (card.look.length > 0) lines.push('', 'LOOK AT', ...card.look.flatMap((text) => wrapped(text, '  - ')));
  if (card.note) lines.push('', 'NOTE', ...wrapped(card.note, '  '));
  lines.push('', 'CARE', ...card.health.flatMap((text) => wrapped(text, '  - ')));
  return `${lines.join('\n')}\n`;
}

const wrapped = (text: string, head: string): readonly string[] => wrapText(text, WIDTH, head);

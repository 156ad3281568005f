import { escaped } from '../units';
import type { Template, TemplateLine, TemplateSheet } from './template';

const figure = (value: number): string => String(Math.round(value * 1000) / 1000);

export function linePath({ points, closed }: TemplateLine): string {
  const drawn = (closed ? points.slice(0, -1) : points).map(([x, y]) => `${figure(x)} ${figure(y)}`).join('L');
  return `M${drawn}${closed ? 'Z' : ''}`;
}

/** Space between sheets in one drawing, mm. */
const GAP = 10;

/**
 * A template for a cutter: mm throughout, one closed path an outline and nothing else to cut; folds and
 * marks in groups of their own, to be left out or drawn.
 */
export function templateSvg(template: Template): string {
  const width = Math.max(...template.sheets.map((sheet) => sheet.width));
  const height = template.sheets.reduce((sum, sheet) => sum + sheet.height, 0) + GAP * (template.sheets.length - 1);
  let top = 0;
  const groups = template.sheets.map((sheet) => {
    const group = sheetGroups(sheet, top);
    top += sheet.height + GAP;
    return group;
  });
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${figure(width)} ${figure(height)}" width="${figure(width)}mm" height="${figure(height)}mm">`,
    `<title>${escaped(template.title)}</title>`,
    `<desc>${escaped(template.says.join(' '))}</desc>`,
    ...groups,
    '</svg>',
    '',
  ].join('\n');
}

const styles = {
  cut: 'stroke="#c2470f"',
  fold: 'stroke="#5b2a4e" stroke-dasharray="3 2"',
  mark: 'stroke="#1f6f5c"',
} as const;

function sheetGroups(sheet: TemplateSheet, top: number): string {
  const groups = (['cut', 'fold', 'mark'] as const).map((role) => {
    const paths = sheet.lines.filter((line) => line.role === role).map((line) => `<path d="${linePath(line)}"/>`);
    return paths.length === 0
      ? ''
      : `<g class="${role}" fill="none" stroke-width="0.15" ${styles[role]}>\n${paths.join('\n')}\n</g>`;
  });
  const inner = groups.filter((group) => group !== '').join('\n');
  return `<g transform="translate(0 ${figure(top)})">\n<title>${escaped(sheet.title)}</title>\n${inner}\n</g>`;
}

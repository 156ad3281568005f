import { inflateSync } from 'node:zlib';
import { templatePages, type Template } from '@aurantia/core/templates';
import { templatePdf } from '../src/template/template-pdf';
import { newFile, running, type Running } from './memory';

let server: Running;
beforeEach(async () => (server = await running(newFile(), true)));
afterEach(() => server.stop());

/** What a PDF draws, its streams unpacked. */
const drawn = (pdf: Buffer): string =>
  pdf
    .toString('latin1')
    .split(/stream\r?\n/)
    .slice(1)
    .map((part) => {
      const bytes = Buffer.from(part.split('endstream')[0], 'latin1');
      try {
        return inflateSync(bytes).toString('latin1');
      } catch {
        return bytes.toString('latin1');
      }
    })
    .join('\n');

test('paper keeps the scale: a square of 100 mm is 283.46 points, the bar 141.73', async () => {
  const square: Template = {
    title: 'Square',
    says: [],
    warns: null,
    sheets: [
      {
        title: 'Square',
        width: 106,
        height: 106,
        words: [],
        lines: [
          {
            role: 'cut',
            closed: true,
            points: [
              [3, 3],
              [103, 3],
              [103, 103],
              [3, 103],
              [3, 3],
            ],
          },
        ],
      },
    ],
  };
  const pdf = await templatePdf('Square', templatePages(square, 'A4'), false);
  const text = drawn(pdf);
  expect(pdf.toString('latin1')).toContain('/MediaBox [0 0 595.275591 841.889764]');
  // The page's scale is set once, points a mm; everything below is then in mm.
  const scale = /([\d.]+) 0 0 -?([\d.]+) 0 0 cm/g;
  const scales = [...text.matchAll(scale)].map(([, x]) => Number(x)).filter((x) => x !== 1);
  expect(scales.some((x) => Math.abs(x - 72 / 25.4) < 1e-4)).toBe(true);
  expect(text).toMatch(/3 3 m\s+103 3 l/);
  expect(text).toMatch(/9 ([\d.]+) m\s+59 \1 l/);
});

test('a template comes as SVG and as PDF on the workshop’s paper or another', async () => {
  const get = (path: string) =>
    server.app.inject({ method: 'GET', url: `/api/designs/${path}`, headers: { host: '127.0.0.1:4310' } });
  const svg = await get(`copper-eaves/template.svg?what=${encodeURIComponent('lower ridge')}`);
  expect(svg.statusCode).toBe(200);
  expect(svg.headers['content-type']).toMatch(/image\/svg\+xml/);
  expect(svg.headers['content-disposition']).toContain('ridge-lower-edge.svg');
  expect(svg.body).toMatch(/^<svg[^>]+viewBox="0 0 [\d.]+ [\d.]+" width="[\d.]+mm"/);
  for (const paper of ['A4', 'Letter']) {
    const pdf = await get(`thistle-weave/template.pdf?what=wrap&paper=${paper}`);
    expect(pdf.headers['content-type']).toBe('application/pdf');
    const bytes = pdf.rawPayload.toString('latin1');
    expect(bytes.slice(0, 5)).toBe('%PDF-');
    expect(Number(/\/Count (\d+)/.exec(bytes)?.[1])).toBeGreaterThanOrEqual(4);
  }
});

test('one that isn’t there, and figures that can’t be, get a sentence', async () => {
  expect(await server.ask('GET', '/api/designs/copper-eaves/template.svg?what=cloud')).toMatchObject({
    status: 404,
    body: { detail: expect.stringMatching(/no such template any more/) },
  });
  expect(await server.ask('GET', '/api/designs/copper-eaves/template.pdf?what=wrap&gap=-2')).toMatchObject({
    status: 422,
    body: { detail: 'A gap can’t be negative.' },
  });
  expect(await server.ask('GET', '/api/designs/nowhere/template.pdf?what=wrap')).toMatchObject({ status: 404 });
});

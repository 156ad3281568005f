import encodeQR from 'qr';
import { USUAL_SHARE_PORT } from '../sharing/outside';
import type { ShareAt, SharingHere } from '../sharing/sharing-here';

/** AURANTIA_SHARE_AT names one of this computer's addresses, AURANTIA_SHARE_PORT another port. */
export const shareAt = (): ShareAt => ({
  address: process.env['AURANTIA_SHARE_AT'] ?? null,
  port: Number(process.env['AURANTIA_SHARE_PORT'] ?? USUAL_SHARE_PORT),
});

/** Shares for this run, and says in the program's own window where a device gets in. */
export async function shareAndSay(sharing: SharingHere): Promise<void> {
  await sharing.turn(true);
  sharing.drawCode({ name: 'Phone or tablet', sees: 'bench' });
  const { code, trouble } = await sharing.now();
  if (trouble) return void process.stderr.write(`${trouble}\n`);
  if (!code) return;
  process.stdout.write(
    `\n${encodeQR(code.links[0], 'term', { border: 1 })}\nA phone or tablet gets to the bench by this picture, or at ${code.links.map((link) => link.replace(/#.*/, '')).join(' or ')} with the code ${code.code}: once, within ten minutes. More under “A phone or tablet” on the screen.\n`,
  );
}

import { openBrowser, press, reads } from './browser';
import { Program } from './program';
async function main() {
  const program = new Program(true);
  await program.start();
  const b = await openBrowser();
  for (const p of ['backups', 'designs/removed', 'shelf/gone', 'cups/gone', 'palettes/gone', 'workshop/unreadable'])
    console.log(p, (await (await fetch(program.address + '/api/' + p)).text()).slice(0, 200));
  try {
    await b.get(program.address + '/designs');
    await reads(b, 'Copper Eaves');
    await b.executeScript(
      'window.__e=[];const o=console.error;console.error=(...a)=>{window.__e.push(a.map(x=>x&&x.stack||x&&x.message||String(x)).join(" "));o(...a)}',
    );
    await press(b, /this workshop/);
    await reads(b, 'Smallest spoon');
    await press(b, /^Kept safe/);
    await reads(b, 'One file of everything');
    await new Promise((r) => setTimeout(r, 1500));
    console.log(await b.executeScript('return window.__e'));
  } finally {
    await b.quit();
    await program.end();
  }
}
void main();

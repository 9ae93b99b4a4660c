import { open } from '../support/browser';
import { DESKTOP_PRESSES, playwrightKeys } from '../support/pressing';
import { expect, test } from '../support/test';

for (const slug of ['tarnlight', 'nibshore', 'quillmoor'])
  test(`every binding of each keymap of ${slug}, pressed, fires the command it is bound to`, async ({
    page,
    request,
  }) => {
    test.setTimeout(600_000);
    let pressed = 0;
    for (let id = 1; ; id++) {
      const answer = await request.get(`/api/keymaps/${id}/view`);
      if (!answer.ok()) break;
      const { programSlug, program, draft, bindings } = await answer.json();
      if (programSlug !== slug) continue;
      await open(page, `/tryout/${programSlug}/${draft.slug}`);
      const of = new Map<string, { kind: string; context: string; path: string[] }>(
        program.commands.map((one: { id: string }) => [one.id, one]),
      );
      // What the ticker says is gathered on the page, so that pressing is not held up by reading.
      await page.evaluate(() => {
        const shared = window as unknown as { ticked: (string | null)[][] };
        shared.ticked = [];
        let last = 0;
        new MutationObserver(() => {
          const items = [...document.querySelectorAll<HTMLElement>('[role=log] li')];
          const fresh = items.filter((one) => Number(one.dataset.number) > last).reverse();
          for (const one of fresh) {
            last = Number(one.dataset.number);
            shared.ticked.push([one.dataset.fired ?? null, one.dataset.kind ?? null]);
          }
        }).observe(document.querySelector('[aria-label="What fired"]') as Element, { childList: true, subtree: true });
      });
      for (const { id: context, name } of program.contexts as { id: string; name: string }[]) {
        const own = (bindings as [string, string][]).filter(([command]) => of.get(command)?.context === context);
        if (own.length === 0) continue;
        await page.getByRole('radio', { name, exact: true }).check();
        await page.getByRole('application').focus();
        for (const [command, chord] of own) {
          const keys = playwrightKeys(chord);
          if (keys === null) continue;
          // Those who share a key answer in turn: as many presses as there are of them reach each once.
          const sharing = own.filter(([other, one]) => one === chord && of.get(other)?.kind === 'tool').length;
          const before = await page.evaluate(() => (window as unknown as { ticked: unknown[] }).ticked.length);
          for (let turn = 0; turn < Math.max(1, sharing); turn++) await page.keyboard.press(keys);
          const said = await page.evaluate(
            (from) => (window as unknown as { ticked: (string | null)[][] }).ticked.slice(from),
            before,
          );
          const taken = said.some(([, kind]) => kind === 'taken by the desktop');
          expect([command, chord, taken]).toEqual([command, chord, DESKTOP_PRESSES.has(chord)]);
          if (!taken)
            expect([command, chord, said.map(([fired]) => fired)]).toEqual([
              command,
              chord,
              expect.arrayContaining([command]),
            ]);
          // A short press of keys that also act while held does both, the press last.
          if (!taken && sharing < 2 && !chord.startsWith('hold:')) expect(said.at(-1)?.[0]).toBe(command);
          pressed++;
          if (
            /^(?:menu item|script)$/.test(of.get(command)?.kind ?? '') &&
            (await page.getByRole('dialog').isVisible())
          )
            await page.keyboard.press('Escape');
        }
      }
    }
    console.log(`${pressed} bindings pressed`);
    expect(pressed).toBeGreaterThan(300);
  });

import { misplaced, pdfPages } from '../../src/server/testing/pdfPages';
import { open } from '../support/browser';
import { expect, test } from '../support/test';

const KEPT = 'program=tarnlight&keymap=sheet-retouching&date=May';

test('every form and paper comes out as a PDF with all its lines on its pages, as many as promised', async ({
  page,
}) => {
  test.setTimeout(240_000);
  let files = 0;
  for (const form of ['desk', 'card', 'note', 'poster', 'difference', 'reference'])
    for (const paper of ['A4', 'Letter', 'A3'])
      for (const way of ['across', 'upright'])
        for (const notation of form === 'reference' ? ['windows'] : ['windows', 'symbols', 'both']) {
          const query = `form=${form}&contents=yours&paper=${paper}&way=${way}&notation=${notation}`;
          const answer = await page.request.get(`/api/sheets?${KEPT}&${query}`);
          expect(answer.ok()).toBe(true);
          const pages = pdfPages(await answer.body());
          const [a, b] = { A4: [595.28, 841.89], Letter: [612, 792], A3: [841.89, 1190.55] }[paper] as [number, number];
          for (const one of pages) {
            expect([one.wide, one.high].map(Math.round)).toEqual((way === 'across' ? [b, a] : [a, b]).map(Math.round));
            expect([query, misplaced(one)]).toEqual([query, []]);
          }
          const text = pages.flatMap((one) => one.words.map((word) => word.text)).join(' ');
          for (const name of ['Dust sweep', 'Stain mask', 'Merge down', 'Swap colors', 'Levels']) {
            const words = name.split(' ').map((one) => text.includes(one));
            expect([query, name, words]).toEqual([query, name, words.map(() => true)]);
          }
          files++;
          // One of each form is held against its preview: as many pages as it promises.
          if (paper !== 'A4' || notation !== 'windows' || way !== 'across') continue;
          await open(page, `/sheets/tarnlight/sheet-retouching?${query}`);
          await expect(page.getByRole('img', { name: /^Page/ })).toHaveCount(pages.length);
        }
  expect(files).toBe(96);
});

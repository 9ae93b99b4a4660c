import { expect, it } from 'vitest';
import { PATCH } from '../app/api/settings/route';
import { onOwnData } from './testing/onOwnData';
import { loadSettings, loadVersionedSettings } from './useCases/settings';

onOwnData();

const edit = async (values: object, revision: number, key: string) => {
  const headers = { 'content-type': 'application/json', 'if-match': `"${revision}"`, 'idempotency-key': key };
  const answer = await PATCH(new Request('http://here/', { method: 'PATCH', headers, body: JSON.stringify(values) }));
  return { status: answer.status, body: (await answer.json()) as Record<string, unknown> };
};

it('does an edit on nothing but what it was made on, and once however often it is sent', async () => {
  expect((await edit({ lamp: 'dim' }, 0, 'window-1-edit-1')).body).toMatchObject({
    revision: 1,
    value: { lamp: 'dim' },
  });
  // From a window that has not seen that: refused, with how things stand now.
  const other = await edit({ textSize: 'large' }, 0, 'window-2-edit-1');
  expect(other).toMatchObject({
    status: 409,
    body: { error: { code: 'changed elsewhere', now: { revision: 1, value: { lamp: 'dim', textSize: 'normal' } } } },
  });
  expect((await loadSettings()).textSize).toBe('normal');
  await edit({ textSize: 'large' }, 1, 'window-2-edit-1');
  // The first comes again, as after an answer that was lost: it is not done again, and what stands now is answered.
  expect(await edit({ lamp: 'dim' }, 0, 'window-1-edit-1')).toMatchObject({
    status: 200,
    body: { revision: 2, value: { lamp: 'dim', textSize: 'large' } },
  });
  // Of many made at once on the same, one goes through.
  const many = await Promise.all(
    ['studio', 'bright', 'contrast'].map((lamp, i) => edit({ lamp }, 2, `window-${i}-edit-9`)),
  );
  expect(many.map((one) => one.status).sort()).toEqual([200, 409, 409]);
  expect((await loadVersionedSettings()).revision).toBe(3);
});

import { BarChart, CartesianGrid, Tooltip, XAxis, YAxis } from 'recharts';
import type { FingerLoad, gainsOf } from '@/core/effort/gains';
import { Chart, Pair, TOOLTIP } from './Chart';

const LETTERS: Readonly<Record<FingerLoad['finger'], string>> = {
  little: 'little',
  ring: 'ring',
  middle: 'middle',
  index: 'index',
  thumb: 'thumb',
};

/** How many uses a day lie how far from the fingers. */
export function ReachChart({ gains }: { readonly gains: ReturnType<typeof gainsOf> }) {
  const reachRows = [
    ...gains.reachAfter.steps.map((n, i) => ({
      name: `0.${i}`,
      before: Math.round(gains.reachBefore.steps[i] ?? 0),
      after: Math.round(n),
    })),
    { name: 'menu', before: Math.round(gains.reachBefore.menus), after: Math.round(gains.reachAfter.menus) },
  ];
  return (
    <Chart
      title="Uses a day by reach, 0 under the fingers"
      rows={reachRows}
      columns={[
        ['before', 'before'],
        ['after', 'after'],
      ]}
    >
      <BarChart accessibilityLayer={false} data={reachRows} margin={{ left: -18, right: 4, top: 4, bottom: 0 }}>
        <CartesianGrid vertical={false} stroke="var(--line-soft)" />
        <XAxis dataKey="name" interval={0} stroke="var(--soft)" fontSize={11} />
        <YAxis stroke="var(--soft)" fontSize={11} />
        <Tooltip {...TOOLTIP} />
        {Pair}
      </BarChart>
    </Chart>
  );
}

/** How often a day each finger presses. */
export function FingerChart({ gains }: { readonly gains: ReturnType<typeof gainsOf> }) {
  // In the order in which they lie over the keys.
  const order = (all: readonly FingerLoad[]) => [
    ...all.filter((one) => one.hand === 'left').reverse(),
    ...all.filter((one) => one.hand === 'right'),
  ];
  const fingersBefore = order(gains.fingersBefore);
  const fingerRows = order(gains.fingersAfter).map((one, i) => ({
    name: `${one.hand === 'left' ? 'L' : 'R'} ${LETTERS[one.finger]}`,
    before: Math.round(fingersBefore[i]?.presses ?? 0),
    after: Math.round(one.presses),
  }));
  return (
    <Chart
      wide
      title="Presses a day by finger"
      rows={fingerRows}
      columns={[
        ['before', 'before'],
        ['after', 'after'],
      ]}
    >
      <BarChart accessibilityLayer={false} data={fingerRows} margin={{ left: -18, right: 4, top: 4, bottom: 0 }}>
        <CartesianGrid vertical={false} stroke="var(--line-soft)" />
        <XAxis dataKey="name" interval={0} stroke="var(--soft)" fontSize={10} />
        <YAxis stroke="var(--soft)" fontSize={11} />
        <Tooltip {...TOOLTIP} />
        {Pair}
      </BarChart>
    </Chart>
  );
}

import Box from '@mui/material/Box';
import Card from '@mui/material/Card';
import type { ReactNode } from 'react';
import type { Command, CommandId } from '@/core/program/program';
import type { MergeLine } from '@/core/succession/mergeKeymap';

type Props = {
  readonly asked: number;
  readonly stays: readonly MergeLine[];
  readonly comes: number;
  readonly gone: number;
  readonly before: (id: CommandId) => Command | undefined;
  readonly after: (id: CommandId) => Command | undefined;
};

/** The move in four figures. */
export function Counts({ asked, stays, comes, gone, before, after }: Props) {
  const mine = stays.length + gone + asked;
  const renamed = stays.filter((one) => one.was.some((id) => before(id)?.name !== after(one.command)?.name)).length;
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fit, minmax(12rem, 1fr))', gap: 3 }}>
      <Count
        figure={stays.length}
        more={renamed > 0 ? `${renamed} went with renamed commands` : 'with all that is noted on them'}
      >
        of your {mine} stay as they are
      </Count>
      <Count figure={comes} more="where they meet nothing of yours">
        {comes === 1 ? 'change of factory keys comes in' : 'changes of factory keys come in'}
      </Count>
      <Count figure={asked} more={asked === 0 ? 'nothing really meets' : 'your key and theirs really meet'}>
        {asked === 1 ? 'needs your word' : 'need your word'}
      </Count>
      <Count figure={gone} more={gone === 0 ? 'every one goes along' : 'their keys are free again'}>
        of your commands {gone === 1 ? 'is' : 'are'} gone
      </Count>
    </Box>
  );
}

function Count({
  figure,
  more,
  children,
}: {
  readonly figure: number;
  readonly more: string;
  readonly children: ReactNode;
}) {
  return (
    <Card sx={{ px: 4, py: 3 }}>
      <p>
        <Box component="strong" sx={{ fontSize: 'var(--type-5)' }}>
          {figure}
        </Box>{' '}
        <strong>{children}</strong>
      </p>
      <p className="soft small">{more}</p>
    </Card>
  );
}

import Alert from '@mui/material/Alert';
import type { Follows } from '@/core/succession/newVersionView';
import { Row } from '../kit/Row';
import { Segments } from '../kit/Segments';

type Props = {
  readonly follows: Follows;
  readonly asVersion: boolean;
  readonly onChoose: (asVersion: boolean) => void;
};

/** Says that a list is of a program that stands on the Shelf; it becomes its next version, or another program. */
export function AsVersion({ follows: { label, version, shared, of }, asVersion, onChoose }: Props) {
  return (
    <Alert severity="info">
      <Row gap={4} wraps align="center">
        <p>
          {shared} of the {of} commands of <strong>{label}</strong> ({version}) are in it.{' '}
          {asVersion
            ? 'It becomes its next version: your keymaps can move there, and this one stays as it is.'
            : 'It becomes a program by itself.'}
        </p>
        <Segments
          label="What it becomes"
          hidden
          value={asVersion ? 'version' : 'other'}
          options={[
            ['version', `A new version of ${label}`],
            ['other', 'Another program'],
          ]}
          onChange={(one) => onChoose(one === 'version')}
        />
      </Row>
    </Alert>
  );
}

'use client';

import { joiResolver } from '@hookform/resolvers/joi';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import { useForm } from 'react-hook-form';
import type { Rules } from '@/core/program/program';
import { newFixed } from '@/schemas/forms';
import { FormField } from '../kit/FormField';
import { Row } from '../kit/Row';
import { KeyCaps } from '../parts/KeyCaps';

/** The keys the program keeps for itself. */
export function Fixed({ rules, onChange }: { rules: Rules; onChange: (fixed: Rules['fixed']) => void }) {
  const form = useForm({ resolver: joiResolver(newFixed), defaultValues: { chord: '', why: '' } });
  const add = form.handleSubmit(({ chord, why }) => {
    if (rules.fixed.some((one) => one.chord === chord))
      return form.setError('chord', { message: 'These keys stand here already.' }, { shouldFocus: true });
    form.reset();
    onChange([...rules.fixed, { chord, why: why || 'the program uses them itself' }]);
  });
  return (
    <Stack component="section" spacing={2} className="card" aria-labelledby="fixed">
      <h2 id="fixed">Keys it keeps for itself</h2>
      <ul>
        {rules.fixed.map(({ chord, why: reason }) => (
          <Row key={chord} component="li" wraps>
            <KeyCaps chord={chord} /> <span className="soft">{reason}</span>
            <Button variant="text" onClick={() => onChange(rules.fixed.filter((one) => one.chord !== chord))}>
              Remove<span className="hidden"> {chord}</span>
            </Button>
          </Row>
        ))}
      </ul>
      <form noValidate onSubmit={add}>
        <Row wraps align="flex-end">
          <FormField form={form} name="chord" label="Keys to fix" placeholder="Ctrl+Tab" />
          <FormField
            form={form}
            name="why"
            label="What the program does with them"
            placeholder="it goes to the next picture"
          />
          <Button type="submit" variant="outlined">
            Add
          </Button>
        </Row>
      </form>
    </Stack>
  );
}

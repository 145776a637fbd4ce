import { CaretLeft, CaretRight } from '@phosphor-icons/react';
import { useState } from 'react';
import { z } from 'zod';
import { addDays } from '../../shared/days';
import { shortDay, today } from '../../shared/format';
import { useFields } from '../../shared/forms';
import { phrase, t, type Phrase } from '../../shared/words';
import { DateField } from '../../ui/DateField';
import { Dialog } from '../../ui/Dialog';
import { Form, FormFoot } from '../../ui/Form';
import { IconButton } from '../../ui/IconButton';
import { Segments } from '../../ui/Segments';
import { movedTo, type Asked, type Span, type SpanKind, type Spans } from './span';

const names: Record<SpanKind, Phrase> = {
  Day: phrase('Day'),
  Week: phrase('Week'),
  Month: phrase('Month'),
  Term: phrase('Term'),
  Any: phrase('Any…'),
};
const kinds = ['Day', 'Week', 'Month', 'Term', 'Any'] as const;

export const spanWords = (span: Span) =>
  span.from === span.to
    ? shortDay(span.from)
    : t('{{from}} to {{to}}', { from: shortDay(span.from), to: shortDay(span.to) });

/** Of which days a report is: their kind, and back and forth. */
export function SpanPicker({
  asked,
  set,
  spans,
}: {
  asked: Asked;
  set: (next: Asked) => void;
  spans: Spans | undefined;
}) {
  const [choosing, choose] = useState(false);
  const go = (span: Span | null | undefined) => {
    if (span) set(movedTo(asked, span));
  };
  return (
    <>
      <Segments
        label={t('Days of the report')}
        value={asked.kind}
        // Days that were chosen are chosen anew by the same press.
        unset={asked.kind === 'Any' ? () => choose(true) : undefined}
        set={(kind) => (kind === 'Any' ? choose(true) : set({ ...asked, kind, to: undefined, from: undefined }))}
        options={kinds.map((value) => ({ value, label: t(names[value]) }))}
      />
      <span className="inline-flex items-center">
        <IconButton look="plain" label={t('Earlier')} disabled={!spans?.earlier} onClick={() => go(spans?.earlier)}>
          <CaretLeft size={18} aria-hidden />
        </IconButton>
        <b role="status" className="min-w-30 text-center whitespace-nowrap">
          {spans && spanWords(spans.span)}
        </b>
        <IconButton look="plain" label={t('Later')} disabled={!spans?.later} onClick={() => go(spans?.later)}>
          <CaretRight size={18} aria-hidden />
        </IconButton>
      </span>
      {choosing && (
        <AnyDays
          first={asked.from ?? spans?.span.from ?? addDays(today(), -27)}
          last={asked.to ?? spans?.span.to ?? today()}
          set={(from, to) => {
            set({ ...asked, kind: 'Any', from, to });
            choose(false);
          }}
          close={() => choose(false)}
        />
      )}
    </>
  );
}

const anyDays = z
  .object({ from: z.string(), to: z.string() })
  .refine((x) => x.from !== '' && x.to !== '' && x.from <= x.to, {
    path: ['from'],
    error: () => t('Choose a first day that is not after the last.'),
  });

function AnyDays({
  first,
  last,
  set,
  close,
}: {
  first: string;
  last: string;
  set: (from: string, to: string) => void;
  close: () => void;
}) {
  const form = useFields({
    schema: anyDays,
    start: { from: first, to: last },
    send: ({ from, to }) => Promise.resolve(set(from, to)),
  });
  return (
    <Dialog title={t('Days of the report')} close={close}>
      <Form of={form}>
        <DateField label={t('First day')} {...form.field('from')} />
        <DateField label={t('Last day')} {...form.field('to')} />
        <FormFoot of={form} close={close}>
          {t('Show report')}
        </FormFoot>
      </Form>
    </Dialog>
  );
}

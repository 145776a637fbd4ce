import { CalendarBlank, CaretLeft, CaretRight } from '@phosphor-icons/react';
import { cx } from 'class-variance-authority';
import { Popover } from 'radix-ui';
import { useEffect, useRef, useState, type KeyboardEvent } from 'react';
import { addDays, addMonths, daysAround, parseDay } from '../shared/days';
import { longDay, monthOf, today as now, weekdays } from '../shared/format';
import { t } from '../shared/words';
import { Field, type FieldProps } from './Field';
import { IconButton } from './IconButton';
import { textBox } from './TextField';

type Props = FieldProps & {
  /** As the API writes it, 2026-11-27; empty for none. */
  value: string;
  set: (value: string) => void;
  /** The first day that can be chosen in the calendar. */
  min?: string;
  disabled?: boolean;
};

/** A day: typed as people write it, or chosen in a calendar. It reads the same whatever the browser's language. */
export function DateField({ value, set, min, disabled, label, hint, error, bare, inline, className }: Props) {
  // What is typed stays as it is typed until the field is left.
  const [typed, setTyped] = useState<string | null>(null);
  const [wrong, setWrong] = useState(false);
  const [open, setOpen] = useState(false);
  const box = useRef<HTMLInputElement>(null);
  const unread = typed !== null && typed.trim() !== '' && !parseDay(typed, now());
  // A form is not sent with the day from before while what stands here cannot be read.
  useEffect(() => {
    const form = box.current?.form;
    if (!form || !unread) return;
    const hold = (e: Event) => {
      e.preventDefault();
      e.stopPropagation();
      setWrong(true);
      box.current?.focus();
    };
    form.addEventListener('submit', hold);
    return () => form.removeEventListener('submit', hold);
  }, [unread]);
  const choose = (day: string) => {
    set(day);
    setTyped(null);
    setWrong(false);
    setOpen(false);
  };
  return (
    <Field
      {...{ label, hint, bare, inline, className }}
      error={wrong ? t('Enter a day, such as {{day}}.', { day: longDay(now()) }) : error}
    >
      {(tied) => (
        <Popover.Root open={open} onOpenChange={setOpen}>
          <Popover.Anchor className="relative block min-w-45">
            <input
              {...tied}
              ref={box}
              type="text"
              autoComplete="off"
              disabled={disabled}
              className={cx(textBox(), 'pr-9')}
              value={typed ?? (value && longDay(value))}
              onChange={(e) => {
                const text = e.target.value;
                const day = parseDay(text, now());
                setTyped(text);
                setWrong(false);
                if (text.trim() === '') set('');
                else if (day) set(day);
              }}
              onBlur={() => {
                setWrong(unread);
                if (!unread) setTyped(null);
              }}
              onKeyDown={(e) => {
                if (e.key === 'ArrowDown' && e.altKey) setOpen(true);
              }}
            />
            <Popover.Trigger asChild>
              <button
                type="button"
                disabled={disabled}
                aria-label={t('Choose {{label}} in calendar', { label })}
                className="hover:bg-depth-1 disabled:text-soft absolute top-1 right-1 inline-grid size-6 place-content-center rounded-sm"
              >
                <CalendarBlank size={16} aria-hidden />
              </button>
            </Popover.Trigger>
          </Popover.Anchor>
          <Popover.Portal>
            <Popover.Content
              align="end"
              sideOffset={4}
              collisionPadding={8}
              aria-label={label}
              className="border-ink bg-paper shadow-lift z-30 rounded-md border p-2.5"
              onCloseAutoFocus={(e) => {
                e.preventDefault();
                box.current?.focus();
              }}
            >
              <Calendar at={value || (min && min > now() ? min : now())} chosen={value} min={min} choose={choose} />
            </Popover.Content>
          </Popover.Portal>
        </Popover.Root>
      )}
    </Field>
  );
}

const steps: Record<string, (day: string) => string> = {
  ArrowLeft: (d) => addDays(d, -1),
  ArrowRight: (d) => addDays(d, 1),
  ArrowUp: (d) => addDays(d, -7),
  ArrowDown: (d) => addDays(d, 7),
  PageUp: (d) => addMonths(d, -1),
  PageDown: (d) => addMonths(d, 1),
};

/** A month of days: arrows go by day and week, Page Up and Page Down by month. */
function Calendar({
  at,
  chosen,
  min,
  choose,
}: {
  at: string;
  chosen: string;
  min: string | undefined;
  choose: (day: string) => void;
}) {
  const [day, setDay] = useState(at);
  const grid = useRef<HTMLTableElement>(null);
  useEffect(() => grid.current?.querySelector<HTMLElement>('[tabindex="0"]')?.focus(), [day]);
  const onKey = (e: KeyboardEvent) => {
    const step = steps[e.key];
    if (!step) return;
    e.preventDefault();
    setDay(step(day));
  };
  return (
    <>
      <div className="mb-1.5 flex items-center justify-between gap-2">
        <IconButton label={t('Earlier month')} onClick={() => setDay(addMonths(day, -1))}>
          <CaretLeft size={16} aria-hidden />
        </IconButton>
        <b aria-live="polite">{monthOf(day)}</b>
        <IconButton label={t('Later month')} onClick={() => setDay(addMonths(day, 1))}>
          <CaretRight size={16} aria-hidden />
        </IconButton>
      </div>
      <table ref={grid} role="grid" aria-label={monthOf(day)} onKeyDown={onKey}>
        <thead>
          <tr>
            {weekdays().map((w) => (
              <th key={w} scope="col" className="text-soft size-8 text-sm font-normal">
                {w}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {daysAround(day).map((week) => (
            <tr key={week[0]}>
              {week.map((d) => (
                <td key={d} role="gridcell" aria-selected={d === chosen} className="p-0">
                  <button
                    type="button"
                    tabIndex={d === day ? 0 : -1}
                    disabled={min !== undefined && d < min}
                    aria-label={longDay(d)}
                    aria-current={d === now() ? 'date' : undefined}
                    className={cx(
                      'enabled:hover:bg-depth-1 disabled:text-line size-8 rounded-sm text-sm tabular-nums',
                      'aria-[current=date]:font-bold aria-[current=date]:underline',
                      d === chosen && 'bg-overlay text-paper enabled:hover:bg-overlay-dark font-semibold',
                      d !== chosen && d.slice(0, 7) !== day.slice(0, 7) && 'text-soft',
                    )}
                    onClick={() => choose(d)}
                  >
                    {Number(d.slice(8))}
                  </button>
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}

import { zodResolver } from '@hookform/resolvers/zod';
import { useEffect, useRef, useState, type FormEvent } from 'react';
import {
  get,
  useForm,
  type DefaultValues,
  type FieldPath,
  type FieldPathValue,
  type FieldValues,
} from 'react-hook-form';
import { z } from 'zod';
import { Problem, sentence } from './api';
import { say, t, type Phrase } from './words';

/** A line that has to be there and not be too long; the server says the same of it. */
export const line = (most: number, fault: Phrase, values?: Record<string, number>) => {
  const error = () => t(fault, values);
  return z.string().trim().min(1, { error }).max(most, { error });
};

/** A field's path as forms write it: letters[0].title is letters.0.title. */
const pathOf = (name: string) => name.replace(/\[(\d+)\]/g, '.$1');

/** What the server found wrong: by field where the form shows the field, else in one sentence. */
export function faultsOf<F extends FieldValues>(problem: unknown, shows: (path: string) => boolean) {
  const named =
    problem instanceof Problem
      ? Object.entries(problem.fields).map(([name, said]) => [pathOf(name), said] as const)
      : [];
  const rest = named.filter(([path]) => !shows(path)).map(([, said]) => say(said));
  return {
    fields: named.filter(([path]) => shows(path)).map(([path, said]) => [path as FieldPath<F>, say(said)] as const),
    rest: named.length === 0 ? sentence(problem) : rest.join(' '),
  };
}

/** Something that has to be there, whatever it is. */
export const present = (fault: Phrase) =>
  z
    .string()
    .trim()
    .min(1, { error: () => t(fault) });

/** One field: its value, how to change it, and what is wrong with it. */
export interface Bound<V, N extends string = string> {
  name: N;
  value: V;
  set: (value: V) => void;
  error: string | undefined;
}

/** The first message somewhere in what is wrong. */
function firstIn(wrong: unknown): string | undefined {
  if (typeof wrong !== 'object' || wrong === null) return undefined;
  if ('message' in wrong && typeof wrong.message === 'string') return wrong.message;
  return Object.values(wrong).map(firstIn).find(Boolean);
}

export interface Fields<F extends FieldValues> {
  values: F;
  /** The values as they are when it is called, for what comes later than it was asked for. */
  latest(): F;
  /** Whether anything stands otherwise than at the start. */
  changed: boolean;
  busy: boolean;
  /** What is wrong with none of the fields. */
  fault: string;
  field<P extends FieldPath<F>>(name: P): Bound<FieldPathValue<F, P>, P>;
  /** The same for something that is so or not. */
  tick(name: FieldPath<F>): { checked: boolean; set: (on: boolean) => void };
  /** What is wrong with a field or with anything in it; for what is no field by itself. */
  faultIn(name: FieldPath<F>): string | undefined;
  set<P extends FieldPath<F>>(name: P, value: FieldPathValue<F, P>): void;
  /** Begins anew, with these values as the start. */
  restart(values: F): void;
  submit(e: FormEvent<HTMLFormElement>): void;
}

/**
 * A form. Its schema is asked before anything is sent; what the server then refuses is shown at the same fields, all
 * at once, and the first of them gets the focus.
 */
export function useFields<F extends FieldValues>({
  schema,
  start,
  send,
  kept,
}: {
  schema: z.ZodType<F, F>;
  start: NoInfer<F>;
  /** Told which button sent it, where that has a value. */
  send: (values: NoInfer<F>, act: string) => Promise<unknown>;
  /** Hears of every change, to keep what is written on the device. */
  kept?: (values: NoInfer<F>) => void;
}): Fields<F> {
  // Where a fault would be seen: fields by their names, and what holds several by its name and all below it.
  const [places] = useState(() => new Set<string>());
  const shows = (path: string) => [...places].some((p) => p === path || (p.endsWith('.') && `${path}.`.startsWith(p)));
  const form = useForm<F>({
    resolver: zodResolver(schema),
    defaultValues: start as DefaultValues<F>,
    shouldFocusError: false,
  });
  const { errors, isSubmitting, isSubmitted, submitCount, isDirty } = form.formState;
  const values = form.watch();
  const sent = useRef<HTMLFormElement>(null);
  useEffect(() => {
    if (submitCount > 0) sent.current?.querySelector<HTMLElement>('[aria-invalid="true"]')?.focus();
  }, [submitCount]);
  const set = <P extends FieldPath<F>>(name: P, value: FieldPathValue<F, P>) => {
    form.setValue(name, value, { shouldDirty: true, shouldValidate: isSubmitted });
    kept?.(structuredClone(form.getValues()));
  };
  const valid = async (checked: F, act: string) => {
    try {
      await send(checked, act);
    } catch (problem) {
      const { fields, rest } = faultsOf<F>(problem, shows);
      fields.forEach(([path, message]) => form.setError(path, { type: 'server', message }));
      if (rest) form.setError('root.server', { message: rest });
    }
  };
  return {
    values,
    latest: () => form.getValues(),
    changed: isDirty,
    busy: isSubmitting,
    fault: errors.root?.['server']?.message ?? '',
    field: (name) => {
      places.add(name);
      return {
        name,
        value: get(values, name) as FieldPathValue<F, typeof name>,
        set: (value) => set(name, value),
        error: (get(errors, name) as { message?: string } | undefined)?.message,
      };
    },
    tick: (name) => ({
      checked: Boolean(get(values, name)),
      set: (on) => set(name, on as FieldPathValue<F, typeof name>),
    }),
    faultIn: (name) => {
      places.add(`${name}.`);
      return firstIn(get(errors, name));
    },
    set,
    restart: (to) => form.reset(to),
    submit: (e) => {
      sent.current = e.currentTarget;
      e.preventDefault();
      const by = (e.nativeEvent as SubmitEvent).submitter;
      const act = by instanceof HTMLButtonElement ? by.value : '';
      if (!isSubmitting) void form.handleSubmit((checked) => valid(checked, act))(e);
    },
  };
}

import { useState, type KeyboardEvent } from 'react';
import { addDays } from '../../../shared/days';
import type { Plan, WeekData } from './useWeek';
import { schoolDay, type Plate } from './weekLayout';

const daysBetween = (a: string, b: string) => Math.round((Date.parse(b) - Date.parse(a)) / 86_400_000);

/** Moving and stretching what lies in the week, by keys or by dragging. */
export function useMoves(d: WeekData, plan: Plan) {
  const [dragged, setDragged] = useState<Plate | null>(null);
  const to = (p: Plate, visibleFrom: string, dueOn: string | null) => {
    const a = p.assignment;
    if (visibleFrom === a.visibleFrom && dueOn === a.dueOn) return;
    if (dueOn && dueOn < visibleFrom) return;
    void plan.quietly(plan.change(a, { visibleFrom, dueOn }));
  };
  const shifted = (p: Plate, steps: number) => {
    const { visibleFrom, dueOn } = p.assignment;
    to(p, schoolDay(visibleFrom, steps, d.days), dueOn && schoolDay(dueOn, steps, d.days));
  };
  return {
    may: d.mayAssign,
    dragged: dragged !== null,
    drag: setDragged,
    /** To begin on a day, and to be as many days long. */
    drop: (day: string) => {
      if (!dragged) return;
      const { visibleFrom, dueOn } = dragged.assignment;
      const days = daysBetween(visibleFrom, day);
      to(dragged, day, dueOn && addDays(dueOn, days));
      setDragged(null);
    },
    /** Alt with an arrow moves by a school day; with Shift, too, it stretches to another due day. */
    onKey: (p: Plate) => (e: KeyboardEvent) => {
      const steps = { ArrowLeft: -1, ArrowRight: 1 }[e.key];
      if (!steps || !e.altKey || !d.mayAssign) return;
      e.preventDefault();
      const { visibleFrom, dueOn } = p.assignment;
      if (e.shiftKey) to(p, visibleFrom, schoolDay(dueOn ?? visibleFrom, steps, d.days));
      else shifted(p, steps);
    },
  };
}

import { lessonsBearing, saidOf } from '@lean-clasp/core/lessons';
import Button from '@mui/material/Button';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { Section } from '../frame/Page';
import { useNow } from '../parts/use-now';
import { usePlan } from '../planner/plan-context';
import { LessonLine } from './LessonLine';
import { whenNow } from './when-now';

/** Lessons that the plan on show calls to mind; nothing where there are none. */
export function LessonsOfPlan() {
  const { plan } = usePlan();
  const now = useNow(false);
  const bearing = useMemo(
    () => (plan === null ? [] : lessonsBearing(plan, whenNow(plan.shop, now)).map(saidOf)),
    [plan, now],
  );
  if (bearing.length === 0) return null;
  return (
    <Section
      title="Lessons that bear on it"
      aside={
        <Button component={Link} to="/logbook/lessons">
          All lessons
        </Button>
      }
    >
      {bearing.map((lesson) => (
        <LessonLine key={lesson.lesson} lesson={lesson} />
      ))}
    </Section>
  );
}

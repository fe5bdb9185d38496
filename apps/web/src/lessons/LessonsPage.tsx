import type { Lesson, ShopDocument } from '@lean-clasp/core/formats';
import { type Bearing, LIBRARY, withLessons } from '@lean-clasp/core/lessons';
import { lessonWords, MOMENT_WORDS, triggerWords } from '@lean-clasp/words';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import dayjs from 'dayjs';
import { type ReactNode, useState } from 'react';
import { Link as RouterLink, useSearchParams } from 'react-router';
import { useTrendsQuery } from '../api/api';
import { SyncNotice } from '../documents/SyncNotice';
import { useDocument } from '../documents/use-document';
import { Loading } from '../frame/Loading';
import { Page, Section } from '../frame/Page';
import { LogbookTabs } from '../logbook/LogbookTabs';
import { useFormat } from '../quantities/use-format';
import { SHOP_ID } from '../shop/shop-id';
import { changed, useEditShop } from '../shop/use-edit-shop';
import { makeId } from '../workspace/edits';
import { LessonFiles } from './LessonFiles';
import { LessonForm } from './LessonForm';

/** Lessons: what was paid for once, and in which plans it comes back. */
export function LessonsPage() {
  const state = useDocument('shops', SHOP_ID);
  return (
    <Page
      title="Lessons"
      intro="What was paid for once, and the plans in which it comes back: before the first bead, among the findings, and at its moment at the bench."
      actions={<LogbookTabs />}
    >
      {state.kind === 'opening' && <Loading what="Opening the lessons" />}
      {state.kind === 'failed' && <Typography color="error">{state.message}</Typography>}
      {state.kind === 'open' && <Lessons shop={state.body as ShopDocument} />}
    </Page>
  );
}

const blank = (runId: string | null): Lesson => ({
  id: makeId(),
  title: 'New lesson',
  happened: '',
  cause: '',
  cost: '',
  change: '',
  when: [{ trait: 'kind', any: ['edge-panel'] }],
  at: 'before',
  learnedOn: dayjs().format('YYYY-MM-DD'),
  runId,
});

function Lessons({ shop }: { readonly shop: ShopDocument }) {
  const edit = useEditShop();
  const [search] = useSearchParams();
  const [open, setOpen] = useState<string | null>(search.get('open'));
  const { own = [], away = [] } = shop.lessons ?? {};
  const add = () => {
    const lesson = blank(null);
    edit('Lesson added', (before) =>
      withLessons(before, ({ own: all, away: put }) => ({ own: [lesson, ...all], away: put })),
    );
    setOpen(lesson.id);
  };
  return (
    <>
      <SyncNotice id={SHOP_ID} />
      <Section
        title="Your own"
        aside={
          <>
            <LessonFiles own={own} />
            <Button onClick={add}>Write a lesson</Button>
          </>
        }
      >
        {own.length === 0 && (
          <Typography>
            None yet. After a glue-up that went wrong, its page in the log proposes one; or write one here.
          </Typography>
        )}
        {own.map((lesson) => (
          <LessonEntry
            key={lesson.id}
            lesson={lesson}
            actions={
              <>
                <Button onClick={() => setOpen(open === lesson.id ? null : lesson.id)}>
                  {open === lesson.id ? 'Done' : 'Change'}
                </Button>
                <Button
                  onClick={() =>
                    edit(`Lesson removed: ${lesson.title}`, (before) =>
                      withLessons(before, ({ own: all, away: put }) => ({
                        own: all.filter(({ id }) => id !== lesson.id),
                        away: put,
                      })),
                    )
                  }
                >
                  Remove
                </Button>
              </>
            }
          >
            {open === lesson.id && (
              <LessonForm
                lesson={lesson}
                onChange={(label, change) =>
                  edit(`${label}, lesson`, (before) =>
                    withLessons(before, ({ own: all, away: put }) => ({
                      own: changed(all, lesson.id, change),
                      away: put,
                    })),
                  )
                }
              />
            )}
          </LessonEntry>
        ))}
      </Section>
      <Section title="That others have paid for">
        {LIBRARY.map((lesson) => {
          const put = away.includes(lesson.id);
          return (
            <LessonEntry
              key={lesson.id}
              lesson={lesson}
              faint={put}
              actions={
                <Button
                  onClick={() =>
                    edit(put ? 'Lesson brought back' : 'Lesson put away', (before) =>
                      withLessons(before, ({ own: all, away: ids }) => ({
                        own: all,
                        away: put ? ids.filter((id) => id !== lesson.id) : [...ids, lesson.id],
                      })),
                    )
                  }
                >
                  {put ? 'Bring back' : 'Put away'}
                </Button>
              }
            />
          );
        })}
      </Section>
    </>
  );
}

/** Whether a lesson that was told helped, as far as the log says. */
function helpedWords({ runs, wrong }: { readonly runs: number; readonly wrong: number }): string {
  const told = runs === 1 ? 'Told before one glue-up' : `Told before ${runs} glue-ups`;
  return `${told}, of which ${wrong === 0 ? 'none' : wrong} went wrong.`;
}

function LessonEntry({
  lesson,
  faint = false,
  actions,
  children,
}: {
  readonly lesson: Bearing;
  readonly faint?: boolean;
  readonly actions: ReactNode;
  readonly children?: ReactNode;
}) {
  const f = useFormat();
  const { title, happened, cause, cost, change } = lessonWords(lesson);
  const runId = 'runId' in lesson ? lesson.runId : null;
  const told = useTrendsQuery().data?.lessons.find((each) => each.lesson === lesson.id);
  const helped = told === undefined ? '' : helpedWords(told);
  return (
    <Box component="article" aria-label={title} sx={{ borderBottom: 1, borderColor: 'divider', py: 1.5 }}>
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'baseline' }}>
        <Typography variant="h3" sx={{ flex: 1, m: 0, color: faint ? 'text.secondary' : undefined }}>
          {title}
          {faint && ' (put away)'}
        </Typography>
        {actions}
      </Box>
      <Typography sx={{ maxWidth: 860 }}>
        {[happened, cause, cost].filter((text) => text !== '').join(' ')}
      </Typography>
      {change !== '' && <Typography sx={{ maxWidth: 860, fontWeight: 700 }}>{change}</Typography>}
      <Typography variant="body2" color="text.secondary">
        Comes back where: {triggerWords(lesson.when, f)}; said {MOMENT_WORDS[lesson.at]}.{' '}
        {helped !== '' && `${helped} `}
        {runId !== null && (
          <Link component={RouterLink} to={`/logbook/${runId}`}>
            The glue-up that taught it
          </Link>
        )}
      </Typography>
      {children}
    </Box>
  );
}

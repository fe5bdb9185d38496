import { type Lesson, type LessonsFile, MOST_LESSONS } from '@lean-clasp/core/formats';
import { withLessons } from '@lean-clasp/core/lessons';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { ApiError, requestJson } from '../api/request';
import { FileButton } from '../parts/FileButton';
import { readJson } from '../parts/read-json';
import { saveFile } from '../parts/save-file';
import { useEditShop } from '../shop/use-edit-shop';
import { makeId } from '../workspace/edits';

const FILE = { format: 'lean-clasp/lessons', version: 1 } as const;

/** Lessons of one's own as a file for others, and those of others; the glue-ups that taught them stay where they were. */
export function LessonFiles({ own }: { readonly own: readonly Lesson[] }) {
  const edit = useEditShop();
  const [said, setSaid] = useState<{ readonly text: string; readonly good: boolean } | null>(null);
  const save = () =>
    saveFile(
      'lessons.json',
      `${JSON.stringify({ ...FILE, lessons: own.map((lesson) => ({ ...lesson, runId: null })) }, null, 2)}\n`,
      'application/json',
    );
  const take = async (text: string) => {
    const body = readJson(text);
    if (body === undefined) {
      setSaid({ text: 'The file is no JSON. Save lessons on this page and open that.', good: false });
      return;
    }
    try {
      await requestJson('/api/lessons/check', { method: 'POST', body });
      const { lessons } = body as LessonsFile;
      const known = new Set(own.map(plainly));
      const fresh = lessons
        .filter((lesson) => !known.has(plainly(lesson)))
        .slice(0, MOST_LESSONS - own.length);
      if (fresh.length > 0) {
        edit('Lessons from a file', (before) =>
          withLessons(before, ({ own: all, away }) => ({
            own: [...fresh.map((lesson) => ({ ...lesson, id: makeId(), runId: null })), ...all],
            away,
          })),
        );
      }
      const left = lessons.length - fresh.length;
      setSaid({
        text: `${fresh.length} taken${left > 0 ? `; ${left} left out: here already, or more than there is room for` : ''}.`,
        good: true,
      });
    } catch (error) {
      const text =
        error instanceof ApiError ? error.message : 'The server cannot be reached; nothing was read in.';
      setSaid({ text, good: false });
    }
  };
  return (
    <>
      {own.length > 0 && <Button onClick={save}>Save as a file</Button>}
      <FileButton
        label="Read in a file"
        accept=".json,application/json"
        like="lessons as JSON"
        onText={(text) => void take(text)}
        onFault={(text) => setSaid({ text, good: false })}
      />
      {said !== null && (
        <Alert severity={said.good ? 'success' : 'error'} variant="outlined">
          {said.text}
        </Alert>
      )}
    </>
  );
}

/** What a lesson says, whoever wrote it down. */
const plainly = ({ title, happened, change }: Lesson): string => JSON.stringify([title, happened, change]);

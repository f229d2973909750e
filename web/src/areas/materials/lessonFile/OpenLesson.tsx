// A lesson that somebody has saved as a file, opened for a class.
import { useQueryClient } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import { api, take } from '../../../api/client';
import * as m from '#messages';
import { OpenFile } from './OpenFile';

export function OpenLesson({ classId }: { classId: string }) {
  const queries = useQueryClient();
  const navigate = useNavigate();
  return (
    <OpenFile
      label={m.lessonFile_open()}
      onFile={async (content) => {
        const opened = await take(
          api.POST('/api/staff/classes/{id}/lessons/file', {
            params: { path: { id: classId } },
            body: { package: content, startsAt: null },
          }),
        );
        await queries.invalidateQueries({ queryKey: ['lessons'] });
        await navigate(`/lessons/${opened.id}`, { state: { askDate: true } });
      }}
    />
  );
}

// A class that moves in from a file.
import { useQueryClient } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import { api, take } from '../../../api/client';
import * as m from '#messages';
import { OpenFile } from '../../materials/lessonFile/OpenFile';

export function OpenClass() {
  const queries = useQueryClient();
  const navigate = useNavigate();
  return (
    <OpenFile
      label={m.lessonFile_openClass()}
      onFile={async (content) => {
        const opened = await take(api.POST('/api/staff/classes/file', { body: { package: content } }));
        await queries.invalidateQueries({ queryKey: ['classes'] });
        await navigate(`/classes/${opened.id}`);
      }}
    />
  );
}

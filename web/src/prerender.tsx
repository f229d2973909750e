import { renderToStaticMarkup } from 'react-dom/server';
import { AtTheDoor, TypeDoorWord } from './areas/roster/student/AtTheDoor';

/** What stands in a page before its scripts are here, by its file. */
export const pages: Record<string, string> = {
  'student.html': renderToStaticMarkup(
    <AtTheDoor>
      <TypeDoorWord doorWord="" />
    </AtTheDoor>,
  ),
};

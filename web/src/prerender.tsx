import { renderToStaticMarkup } from 'react-dom/server';
import { SignInForm } from './areas/account/SignInForm';
import { AtTheDoor, TypeDoorWord } from './areas/roster/student/AtTheDoor';

/** What stands in a page before its scripts are here, by its file. */
export const pages: Record<string, string> = {
  'index.html': renderToStaticMarkup(<SignInForm />),
  'student.html': renderToStaticMarkup(
    <AtTheDoor>
      <TypeDoorWord doorWord="" />
    </AtTheDoor>,
  ),
};

// Somebody of many, found by typing.
import { headless } from '../later/headlessLater';
import { useLater } from '../later/later';

export interface ChooseStudentProps {
  label: string;
  students: { id: string; name: string }[];
  chosen: string | null;
  onChoose: (id: string | null) => void;
}

/** Type to find somebody among many. */
export function ChooseStudent(props: ChooseStudentProps) {
  const parts = useLater(headless, true);
  return parts === null ? null : <parts.ChooseStudent {...props} />;
}

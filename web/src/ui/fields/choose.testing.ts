import { fireEvent, screen, waitFor } from '@testing-library/react';

/** Opens a list as a person does. @returns what it offers */
export async function offered(label: string): Promise<HTMLElement[]> {
  const button = screen.getByRole('button', { name: new RegExp(`^${label}\\b`) });
  fireEvent.mouseDown(button);
  fireEvent.mouseUp(button);
  fireEvent.click(button);
  return waitFor(() => {
    const all = [...screen.queryAllByRole('option'), ...screen.queryAllByRole('menuitem')];
    if (all.length === 0) throw new Error(`${label} offers nothing`);
    return all;
  });
}

/** Chooses from a list that opens. */
export async function choose(label: string, option: string): Promise<void> {
  const all = await offered(label);
  const found = all.find((one) => one.textContent === option);
  if (found === undefined) throw new Error(`${label} offers ${all.map((one) => one.textContent).join(', ')}`);
  fireEvent.click(found);
}

/** Finds somebody by typing. */
export async function find(label: string, name: string): Promise<void> {
  const field = screen.getByRole('combobox', { name: label });
  fireEvent.change(field, { target: { value: name } });
  await screen.findByRole('option', { name });
  fireEvent.keyDown(field, { key: 'Enter' });
}

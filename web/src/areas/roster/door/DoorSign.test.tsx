import { fireEvent, render, screen } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { MessagesProvider } from '../../../ui/page/messages';
import { DoorSign } from './DoorSign';

describe('the way in', () => {
  it('opens at the door word, with a code, the address and the word; and is copied as one link', async () => {
    const written = vi.fn<(text: string) => Promise<void>>().mockResolvedValue(undefined);
    Object.defineProperty(navigator, 'clipboard', { value: { writeText: written }, configurable: true });
    render(
      <MessagesProvider>
        <DoorSign doorWord="amber otter" />
      </MessagesProvider>,
    );
    fireEvent.click(screen.getByRole('button', { name: 'amber otter: show how to join' }));
    expect(await screen.findByRole('img', { name: 'Code to scan' })).toBeInTheDocument();
    expect(screen.getByText(`${window.location.host}/student`)).toBeInTheDocument();
    fireEvent.click(screen.getByRole('button', { name: 'Copy link' }));
    expect(written).toHaveBeenCalledWith(`${window.location.origin}/student?door=amber+otter`);
  });
});

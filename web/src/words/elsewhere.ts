/** Words of a student's page that are seldom needed: they come with what shows them. */
export const elsewhere = {
  moved: (group: string) => `You are now in ${group}.`,
  movedLead: 'Your teacher has given you another seat.',
  movedText: 'What you wrote at your old table:',
  movedCopy: 'Copy it',
  movedCopied: 'Copied',
  movedGo: (group: string) => `Go to ${group}`,
  earlier: 'Earlier worksheets',
  earlierNone: 'There is nothing from earlier lessons.',
  earlierBack: 'Back',
  earlierRead: 'to read',
  failed: 'No connection. Try again.',
  again: 'Try again',
};

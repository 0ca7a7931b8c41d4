/** Words of sheets for paper, by the part that says them. */
export const sheetScreen = {
  tonight: 'Tonight',
  theWeek: 'The week',
  theBeds: 'The beds',
  tags: 'Tags',
  fogata: 'Fogata',
  stillBeingWorkedOutMore: 'Still being worked out: more may come on it.',
  sent: 'Sent.',
  copiedItCanBePut: 'Copied: it can be put into any message.',
  thisBrowserDoesNotGive: (name: string) =>
    name === 'AbortError' ? '' : 'This browser does not give it away here: mark the text below and copy it.',
  theSheet: 'the sheet',
  printIt: 'Print it',
  sendOrCopyIt: 'Send or copy it',
  nothingIsToBeDone: 'Nothing is to be done.',
  now: 'Now',
  whichSheet: 'Which sheet',
};

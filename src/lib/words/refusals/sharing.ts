/** What is refused of tables and benches that come in, and of those who share one. */
export const sharing = {
  imports: {
    underWay: 'This table is still being taken in. Stop it, or wait until it is done.',
    takenBack: 'This table was taken back already.',
    sumDiffers: 'The layers and the whole do not agree. Measure again, or leave the whole out.',
    noGoodRow: 'No row of this table can be taken in as it is read. Look at the columns.',
    badMatching: 'How the table is to be read was not understood. Choose the file again.',
    failed: 'Something went wrong, and all of it was taken out again. Try once more.',
    noFile: 'Send the table as the file of a form.',
    notes: {
      from: (place: string) => `From ${place}`,
      method: (name: string) => `Method: ${name}`
    }
  },
  copies: {
    gone: 'This copy is not there any more.',
    waitsNoMore: 'It has waited too long to be put back. Choose it again.',
    sendArchive: 'Send the archive as the body, with a content-type such as application/zip.',
    importing: 'A table is being taken in just now. Wait until it is in, or stop it.',
    another: 'A bench is being put back just now. Wait until it is there.'
  },
  people: {
    giveName: 'Say what you are called.',
    eightLetters: 'A passphrase needs at least 8 letters. A few words are best.',
    tooLong: 'Two hundred letters are plenty.',
    chooseRole: 'Choose what they may do.',
    nameAlike: 'Somebody here has a name that looks the same. Add a word to it.',
    nameTaken: 'Somebody here is called so already. Add a word to it.',
    noSuchCode:
      'This invitation is not good: it was used, taken back, or is older than a week. Ask for another.',
    notFirst: 'Somebody keeps this bench already. Ask them for an invitation.',
    lastKeeper: 'Somebody has to keep the bench. Make another person a keeper first.',
    wrong: 'That is not your passphrase of now.',
    readOnly: 'You read here. Whoever keeps the bench can make you a helper.',
    keeperOnly: 'Only whoever keeps the bench does that.'
  },
  seen: {
    somebody: 'Somebody else',
    meanwhile: (who: string) => `${who} changed this meanwhile. Look at both, and choose.`
  }
};

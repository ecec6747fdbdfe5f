/** English. Where two people change one record at once. */
export const seen = {
  changed: (who: string, when: string) =>
    `${who} changed this after you opened it (${when}). Nothing is lost: look at both, and choose.`,
  field: 'What',
  theirs: (who: string) => `As ${who} left it`,
  mine: 'As you have it',
  keepMine: 'Keep mine',
  takeTheirs: 'Take theirs into the form',
  nothing: '–',
  several: (n: number) => `${n} of them`,
  fields: {
    name: 'Name',
    purpose: 'For',
    note: 'Note',
    notes: 'What may spoil it',
    details: 'How it was taken',
    areaId: 'Area',
    spotIds: 'Spots',
    history: 'What was done with it',
    outline: 'Outline',
    sketch: 'Place on the earth',
    depth: 'Depth',
    width: 'Width',
    sender: 'Sender',
    receivedOn: 'Came on',
    items: 'Soils',
    takenOn: 'Dug on',
    depthFrom: 'Depth from',
    depthTo: 'to',
    takenOut: 'Taken out',
    driedH: 'Dried, hours',
    sieve: 'Sieved through',
    gravel: 'Gravel',
    look: 'Look',
    hand: 'The hand says',
    ribbon: 'Ribbon'
  }
};

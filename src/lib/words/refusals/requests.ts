/** So many bytes, rounded up. */
const sizeText = (bytes: number): string =>
  bytes < 1e6 ? `${Math.ceil(bytes / 1e3)} kB` : `${Math.ceil(bytes / 1e6)} MB`;

/** What is refused of a request, of any value in it, and by the database. */
export const requests = {
  api: {
    twelveNeeds:
      'Give twelve needs from 1 to 150 mm a week, parted by commas; leave one empty for the usual.',
    benchCameraHasNo: 'The bench camera has no picture of this.',
    benchCameraGivesPicture: 'The bench camera gives picture.png, series.zip and film.y4m.',
    someValuesNeedAnother: 'Some values need another look.',
    noSuchCommand: (name: string) => `There is no command "${name}".`,
    tooMuchJson: 'This is nested too deep, or holds too much at once. Send less at a time.',
    bodyNotJson: 'The body is not JSON.',
    sayWhichSamples: 'Say which samples.',
    fewerLabels: 'These are too many at once. Choose fewer samples.',
    noCopies: 'The database is on a server of its own. Make its copies there.',
    noneTheseSamples: 'None of these samples is here.',
    limit: (most: number) => `A limit is a whole number from 1 to ${most}, such as limit=200.`,
    after: 'There is no such test. Take `next` of the page before as after.',
    sayHowLong: 'Say how long the body is, by content-length.',
    tooLarge: (bytes: number, most: number) =>
      `This is ${sizeText(bytes)}; at most ${sizeText(most)} are taken in here at once.`,
    sendPictureContentType: 'Send the picture with a content-type, such as image/jpeg.',
    pictureGone: 'This picture is not here.',
    hoursHomeMinutesAfter: 'Hours at home are minutes after midnight, such as homeFrom=480.',
    noSuchSchema: 'There are three schemas: test, log and archive.',
    siteGone: 'This site is not here.',
    testGone: 'This test is not here.',
    choosePaper: (papers: string) => `Choose a paper: ${papers}.`
  },
  database: {
    idInUse: 'Something with this id is there already. Send it with a new one.',
    stillNeeded: 'This is still needed by something else, or what it belongs to is gone.',
    notThere: 'The record does not take this as it is.',
    away: 'The database does not answer just now. Nothing is lost: it is tried again by itself.',
    diskFull: 'The disk is full or cannot be written to: nothing was changed. Make room, then try again.',
    busy: 'Another program holds the record just now: nothing was changed. Try again in a moment.'
  },
  sentences: {
    wanted: 'This is wanted: fill it in.',
    number: 'Give it as a number.',
    text: 'Give it as text.',
    yesNo: 'Say yes or no.',
    list: 'Give it as a list.',
    fields: 'Give it with its fields.',
    oneOf: (choices: string) => `Give one of these: ${choices}.`,
    most: (n: string) => `Give no more than ${n}.`,
    under: (n: string) => `Give less than ${n}.`,
    least: (n: string) => `Give ${n} or more.`,
    over: (n: string) => `Give more than ${n}.`,
    lettersMost: (n: string) => `Keep it to ${n} letters.`,
    lettersLeast: 'Fill it in.',
    listMost: (n: string) => `Give no more than ${n} of them.`,
    listLeast: (n: string) => `Give at least ${n} of them.`,
    form: 'This is not in the right form.',
    other: 'This cannot be taken as it is.',
    control: 'Take out the characters that cannot be seen.',
    year: 'Give a time before the year 2100.'
  }
};

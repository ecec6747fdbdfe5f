/** English. Why something of a lesson or a drill was not taken, and what to do. */
export const practice = {
  giveName: 'Give a name or a number.',
  nameLesson: 'Give the lesson a name.',
  chooseSome: 'Choose at least one drill or test.',
  twentyPlenty: 'Twenty lines are plenty for one sheet.',
  code20: 'Keep the code under 20 letters.',
  sayWhat: 'Say which test is to be run.',
  keepUnder200: 'Keep it under 200 letters.',
  keepUnder1000: 'Keep it under 1000 letters.',
  keepUnder2000: 'Keep the calculation under 2000 letters.',
  height: 'Give a height in mm, from 0 to 500.',
  inOrder: 'The tops lie over one another: sand, then silt, then clay.',
  codeUnknown: 'There is no lesson with this code. Ask for it again.',
  closed: 'This lesson is closed. Nobody joins it any more.',
  nameTaken: 'Somebody with this name is in it. Take another name or number; or ask for yours to be freed.',
  notIn: 'Join the lesson first.',
  handedIn: 'You have handed in. Ask for it back to change an answer.',
  noTask: 'There is no such task on this sheet.',
  answerShape: 'This answer does not fit the task. Load the page again.',
  full: 'Two hundred learners are in it: that is the most.',
  manyLearners: 'Too many have practised here. Forget a history first.'
};

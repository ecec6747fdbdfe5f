import { parentPort } from 'node:worker_threads';
import { answerOf, estimateJar, known, RangeProblem, type EstimateInput } from '../../core/index.ts';

/** Estimates jars beside the server: each message is a jar, each answer an estimate as it is kept or why there is none. */
const port = known(parentPort, 'this runs as a thread');
port.on('message', ({ id, input }: { id: number; input: EstimateInput }) => {
  try {
    port.postMessage({ id, answer: answerOf(estimateJar(input)) });
  } catch (problem) {
    const refused = problem instanceof RangeProblem;
    port.postMessage({ id, refused, problem: problem instanceof Error ? problem.message : String(problem) });
  }
});

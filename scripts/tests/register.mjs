import { register } from 'node:module';

// Loaded before anything else in every process that runs tests in plain Node: TypeScript is read as it stands.
process.setSourceMapsEnabled(true);
register('./hooks.mjs', import.meta.url);

// The runner answers all its workers when one of them asks what it is to do, and none a second time. One that is about to ask just then
// does not listen yet, and would wait for good (once in twenty starts). So what came early is kept.
if (process.send) {
  let early = null;
  const keep = (message) => {
    if (message?.type === 'jest-light-runner-worker-data') early = message;
  };
  // Not before somebody listens: Node holds what comes until then.
  process.on('newListener', function listens(event) {
    if (event !== 'message') return;
    process.off('newListener', listens);
    process.on('message', keep);
  });
  const send = process.send.bind(process);
  process.send = (message, ...rest) => {
    if (message !== 'jest-light-runner-get-worker-data' || early === null) return send(message, ...rest);
    queueMicrotask(() => process.emit('message', early));
    return true;
  };
}

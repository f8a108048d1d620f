// What a test starts is started as a user would: without what only the tests are read by.
delete process.env['NODE_OPTIONS'];

// The runner lets go of a worker and waits for nothing: what is still open here, a browser for one, ends now.
process.once('disconnect', () => process.exit());

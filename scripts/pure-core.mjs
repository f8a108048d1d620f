// The computation is pure: time, chance and the outside world come in as arguments.
const isCalled = (node, object, property) =>
  node.object.type === 'Identifier' && node.object.name === object && node.property.name === property;

const pureCore = {
  create: (context) => ({
    MemberExpression(node) {
      if (isCalled(node, 'Date', 'now')) context.report({ node, message: 'Pass nowMs in.' });
      if (isCalled(node, 'Math', 'random')) context.report({ node, message: 'Pass a seeded random in.' });
    },
    NewExpression(node) {
      if (node.callee.name === 'Date' && node.arguments.length === 0)
        context.report({ node, message: 'Pass nowMs in.' });
    },
  }),
};

export default { meta: { name: 'calvetta' }, rules: { 'pure-core': pureCore } };

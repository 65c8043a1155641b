/** A lint rule: core takes the time as an argument, and what is drawn at random from a seed. */
const message = { time: 'Core takes the time as an argument.', seed: 'Core takes a seed as an argument.' };
const calls = (node, object, property) => node.object.name === object && node.property.name === property;

const noAmbient = {
  meta: { type: 'problem', messages: message },
  create: (context) => ({
    MemberExpression(node) {
      if (calls(node, 'Date', 'now')) context.report({ node, messageId: 'time' });
      if (calls(node, 'Math', 'random')) context.report({ node, messageId: 'seed' });
    },
    NewExpression(node) {
      if (node.callee.name === 'Date' && node.arguments.length === 0)
        context.report({ node, messageId: 'time' });
    },
  }),
};

export default { meta: { name: 'clockless' }, rules: { 'no-ambient': noAmbient } };

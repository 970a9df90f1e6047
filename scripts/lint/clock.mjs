/**
 * A rule of the linter: core asks no clock. `new Date()` reads the machine's, so the same facts would
 * reckon differently tomorrow; "now" is passed in.
 */
const noOwnClock = {
  create: (context) => ({
    NewExpression(node) {
      if (node.callee.name === 'Date' && node.arguments.length === 0)
        context.report({ node, message: 'Pass "now" in.' });
    },
  }),
};

export default { meta: { name: 'house' }, rules: { 'no-own-clock': noOwnClock } };

const KeptEnvironment = require('../../tests/modules/environment.cjs');
const { asked } = require('./asked.cjs');

const fullName = (test) => {
  const titles = [];
  for (let one = test; one.parent; one = one.parent) titles.unshift(one.name);
  return titles.join(' ');
};

function testsOf(block) {
  return block.children.flatMap((child) =>
    child.type === 'describeBlock' ? testsOf(child) : [child],
  );
}

/** Jest's environment as it is, but that of a file only those tests run that are asked. */
class AskedTests extends KeptEnvironment {
  constructor(config, context) {
    super(config, context);
    this.testPath = context.testPath;
  }

  handleTestEvent(event, state) {
    if (event.name !== 'run_start') return;
    const names = asked().get(this.testPath)?.names;
    if (!names) return;
    for (const test of testsOf(state.rootDescribeBlock))
      if (!names.includes(fullName(test))) test.mode = 'skip';
  }
}

module.exports = AskedTests;

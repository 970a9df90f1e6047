import { existsSync, readFileSync, rmSync } from 'node:fs';
import { isAbsolute, join, resolve } from 'node:path';
import {
  ROOT,
  endTogether,
  ensureBuildBeside,
  ensurePackages,
  flag,
  option,
  runBeside,
  startServer,
} from './lib/project.mjs';

/** Starts the application with demo data: `npm run demo -- --port 3000 --data DIR --fresh`. */
const port = Number(option('port', '3000'));
const folder = option('data', join(ROOT, 'data', 'demo'));
const data = isAbsolute(folder) ? folder : resolve(folder);
const facts = join(data, 'demo.json');

ensurePackages({ tools: false });
if (flag('fresh')) rmSync(data, { recursive: true, force: true });
// Without PUBLIC_URL links carry the address each visitor came by, also that of a phone.
const environment = { DATA_DIR: data, DEMO: '1' };
const address = process.env.PUBLIC_URL ?? `http://localhost:${port}`;
// Records are written while it builds: neither needs the other.
const building = ensureBuildBeside();
if (!existsSync(facts)) {
  console.log('Writing ten weeks of demo records …');
  await runBeside(process.execPath, ['--import', 'tsx', 'scripts/demo/seed.ts', facts], {
    env: { ...process.env, ...environment },
  });
}
await building;
const child = await startServer({ port, environment, stdio: ['ignore', 'ignore', 'inherit'] });
endTogether(child);
const { seededOn, signIns, patientToken, patientName } = JSON.parse(readFileSync(facts, 'utf8'));
console.log(`
Dry Lantern, with demo data of ${seededOn} (begin anew with --fresh)

  Clinic      ${address}
${signIns.map(({ role, email, password }) => `  ${role.padEnd(14)}${email}   ${password}`).join('\n')}

  Patient     ${address}/open#${patientToken}
              the link of ${patientName}

  Ctrl-C ends it.
`);

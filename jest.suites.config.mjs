// All unit and server tests, many files to a suite: a suite loads the product once, where each file by itself would load it again.
import { mkdirSync, readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import alone from './jest.config.mjs';

const ROOT = dirname(fileURLToPath(import.meta.url));
const SUITES = join(ROOT, process.env.RUVOK_LONG ? 'build/suites-long' : 'build/suites');

/** So many suites of each project: small enough that neither of two cores waits long for the other at the end. */
const HOW_MANY = { core: 4, server: 2, web: 4 };

/** The test files of a project, by the folders that it names. */
const filesOf = ({ testMatch, testPathIgnorePatterns }) =>
  [...new Set(testMatch.map((glob) => /^<rootDir>\/(\w+)\//.exec(glob)[1]))].flatMap((folder) =>
    readdirSync(join(ROOT, folder), { recursive: true, encoding: 'utf8' })
      .filter((f) => /\.test\.tsx?$/.test(f) && !testPathIgnorePatterns.some((p) => new RegExp(p).test(f)))
      .map((f) => `${folder}/${f.replaceAll('\\', '/')}`),
  );

const textOf = (file) => readFileSync(join(ROOT, file), 'utf8');

/** Of the long tests those alone that try more than they do otherwise. */
const isTaken = (file) => !process.env.RUVOK_LONG || /\.long\.test\.|testing\/(runs|every-kind)\.js|RUVOK_LONG/.test(`${file} ${textOf(file)}`);

/** What a file needs of its own: another environment than its project has, or a realm where it puts things in the place of others or adds kinds to those that there are. */
function needsOf(file, project) {
  const environment = /@jest-environment (\w+)/.exec(textOf(file))?.[1] ?? project.testEnvironment;
  const replaces = /^(const \w+ = |beforeEach\(.*|\s*)jest\.(spyOn|useFakeTimers)|globalThis\.\w+ =|addThrowAway/m.test(textOf(file));
  return { file, environment, suite: replaces ? file.replaceAll(/\W+/g, '-') : `in-${environment}` };
}

function write(name, environment, files) {
  const lines = files.map((file) => `describe('${file}', () => void require('../../${file}'));`);
  writeFileSync(join(SUITES, `${name}.test.cjs`), `/** @jest-environment ${environment} */\n${lines.join('\n')}\n`);
}

function suitesOf(project) {
  const name = project.displayName;
  const needs = filesOf(project)
    .filter(isTaken)
    .map((file) => needsOf(file, project));
  for (const suite of new Set(needs.map((n) => n.suite))) {
    const own = needs.filter((n) => n.suite === suite);
    const many = suite === `in-${project.testEnvironment}` ? Math.min(HOW_MANY[name], own.length) : 1;
    // By turns, as their names follow each other: what is heavy is not all in one.
    for (let i = 0; i < many; i += 1)
      write(
        `${name}-${suite}-${i + 1}`,
        own[0].environment,
        own.filter((_, at) => at % many === i).map((n) => n.file),
      );
  }
  return {
    ...project,
    testMatch: [`${SUITES}/${name}-*.test.cjs`],
    modulePathIgnorePatterns: ['<rootDir>/build/(?!suites)'],
  };
}

rmSync(SUITES, { recursive: true, force: true });
mkdirSync(SUITES, { recursive: true });
export default { ...alone, projects: alone.projects.map(suitesOf) };

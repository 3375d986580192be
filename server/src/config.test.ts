import 'reflect-metadata';
import { InvalidConfiguration, serverConfig } from './config';

const before = { ...process.env };
afterEach(() => {
  process.env = { ...before };
});

test('settings come from the environment, and what is left out has its default', () => {
  Object.assign(process.env, {
    PORT: '4320',
    ACORN_TALLY_DATA: '/tmp/kept',
    ACORN_TALLY_HOSTS: 'desk,,barn',
  });
  expect(serverConfig()).toMatchObject({ port: 4320, dataFolder: '/tmp/kept', hosts: ['desk', 'barn'] });
  for (const name of ['PORT', 'ACORN_TALLY_DATA', 'ACORN_TALLY_HOSTS']) delete process.env[name];
  expect(serverConfig()).toMatchObject({ port: 4310, dataFolder: expect.stringMatching(/data$/), hosts: [] });
});

test.each(['abc', '-1', '65536', '1.5'])('a port of %s is refused in words', (port) => {
  process.env.PORT = port;
  expect(() => serverConfig()).toThrow(InvalidConfiguration);
  expect(() => serverConfig()).toThrow('PORT is a whole number from 0 to 65535');
});

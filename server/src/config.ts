import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { type ConfigType, registerAs } from '@nestjs/config';
import { plainToInstance, Transform } from 'class-transformer';
import { IsInt, IsString, Max, Min, validateSync } from 'class-validator';

/** The server's folder: this file lies one folder deep in it, as source and as built. */
const server = dirname(dirname(fileURLToPath(import.meta.url)));
const portMessage = { message: 'PORT is a whole number from 0 to 65535, for example PORT=4320.' };

/** What is read of the environment; all of it may be left out. */
class Environment {
  @Transform(({ value }) => Number(value))
  @IsInt(portMessage)
  @Min(0, portMessage)
  @Max(65_535, portMessage)
  PORT = 4310;

  /** The data folder. */
  @IsString()
  ACORN_TALLY_DATA = join(server, '..', 'data');

  /** Names of this machine besides localhost, with commas between. */
  @IsString()
  ACORN_TALLY_HOSTS = '';
}

/** The server's settings: the one place where its environment is read. */
export const serverConfig = registerAs('server', () => {
  const environment = plainToInstance(Environment, process.env, { exposeDefaultValues: true });
  const wrong = validateSync(environment).flatMap(({ constraints }) => Object.values(constraints ?? {}));
  if (wrong.length > 0) throw new InvalidConfiguration(wrong[0] as string);
  return {
    port: environment.PORT,
    dataFolder: environment.ACORN_TALLY_DATA,
    hosts: environment.ACORN_TALLY_HOSTS.split(',').filter((host) => host !== ''),
    migrationsFolder: join(server, 'migrations'),
    /** Of the built interface; null to serve none. */
    webFolder: join(server, '..', 'web', 'dist') as string | null,
    workerFile: join(server, 'dist', 'calculations.js'),
  };
});
export type ServerConfig = ConfigType<typeof serverConfig>;

export class InvalidConfiguration extends Error {}

import { buildIfStale, installIfStale } from './lib.mjs';

installIfStale();
buildIfStale();

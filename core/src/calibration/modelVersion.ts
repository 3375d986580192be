/**
 * The version of the laws and priors that a fit was made with: a posterior is in deviations of the priors, so it means
 * something else once they change. Raise it whenever a law or a prior changes (`modelVersion.test` notices when the golden
 * table does).
 */
export const modelVersion = '2026-12-01.5';

/**
 * What the built server does not hold in its own code, because it reads files of its own or is no JavaScript:
 * it is read where it lies.
 */
export const readWhereTheyLie = [
  '@electric-sql/pglite',
  '@fastify/swagger-ui',
  '@node-rs/argon2',
  'nodemailer',
  'pdfmake',
  'pg',
];
/** Letters of the plan's page: files that are read, no code. */
export const fontPackages = ['@expo-google-fonts/atkinson-hyperlegible-next', '@expo-google-fonts/fraunces'];

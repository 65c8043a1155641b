/** Of the program, as in package.json: said by the server and under Settings. */
export const VERSION = '0.5.0';

/** A spreadsheet runs what begins so. It is written behind an apostrophe, which is taken away when it is read. */
export const FORMULA = /^[=+\-@\t\r]/;

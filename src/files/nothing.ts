/** Stands in for optional parts of the PDF library that Jorrit never calls, so that they are not shipped. */
export default null;

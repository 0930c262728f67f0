// Of a code only letters and digits count, the times sign as an X: as the server compares numbers.
const keyOf = (code) => code.normalize("NFKC").toUpperCase().replaceAll("×", "X").replaceAll(/[^\p{L}\p{Nd}]/gu, "");

// Keys that are typed into a field are no commands.
const isField = (element) =>
  element instanceof HTMLElement &&
  (element.isContentEditable || ["INPUT", "TEXTAREA", "SELECT"].includes(element.tagName));

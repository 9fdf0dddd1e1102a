/** Hands a file to the browser to keep. */
export const download = (name: string, type: string, content: string | ArrayBuffer): void => {
  const url = URL.createObjectURL(new Blob([content], { type }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 60_000);
};

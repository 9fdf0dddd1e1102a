/** A name that every file system takes: letters and digits of any script, the rest as hyphens. */
export const fileName = (name: string, ending: string): string => {
  const plain = name
    .toLowerCase()
    .replaceAll(/[^\p{L}\p{N}]+/gu, '-')
    .replaceAll(/^-|-$/g, '');
  return `${plain || 'piece'}.${ending}`;
};

/** Hands a file to the browser to keep. */
export const download = (name: string, type: string, content: string | ArrayBuffer | Uint8Array): void => {
  // Bytes of their own: a view may lie over memory that is shared.
  const part = content instanceof Uint8Array ? new Uint8Array(content) : content;
  const url = URL.createObjectURL(new Blob([part], { type }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 60_000);
};

/** A text as a file of a type. */
export function textFile(text: string, type: string): Blob {
  return new Blob([text], { type: `${type};charset=utf-8` });
}

/** Saves a file as the browser saves what is downloaded. */
export function download(name: string, file: Blob): void {
  const url = URL.createObjectURL(file);
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  // The browser may only begin with it after the press is over.
  setTimeout(() => URL.revokeObjectURL(url), 60_000);
}

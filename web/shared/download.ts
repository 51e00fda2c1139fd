/** Hands a text, or what was made elsewhere, to the browser as a file to keep. */
export function download(name: string, type: string, content: string | Blob): void {
  const url = URL.createObjectURL(content instanceof Blob ? content : new Blob([content], { type }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  URL.revokeObjectURL(url);
}

export { fileName } from '../../core/formats/file-name.js';

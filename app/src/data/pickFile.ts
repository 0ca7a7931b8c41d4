/** A file from the device, as text; null where none was chosen. */
export function pickFile(accept: string): Promise<{ name: string; text: string } | null> {
  return new Promise((resolve) => {
    const input = document.createElement('input');
    input.type = 'file';
    input.accept = accept;
    input.onchange = () => {
      const file = input.files?.[0];
      if (!file) resolve(null);
      else void file.text().then((text) => resolve({ name: file.name, text }));
    };
    input.oncancel = () => resolve(null);
    input.click();
  });
}

import worker from 'pdfjs-dist/legacy/build/pdf.worker.min.mjs?url';

/**
 * The pages of a PDF as pictures in their own addresses, one after another: the pages of this application show no
 * others. What a PDF would run is never run.
 */
export async function pagesOf(file: ArrayBuffer, width: number, page: (picture: string, ratio: number) => void) {
  const { getDocument, GlobalWorkerOptions } = await import('pdfjs-dist/legacy/build/pdf.mjs');
  GlobalWorkerOptions.workerSrc = worker;
  const loading = getDocument({ data: file, enableXfa: false });
  const pdf = await loading.promise;
  try {
    for (let i = 1; i <= Math.min(pdf.numPages, mostPages); i++) {
      const one = await pdf.getPage(i);
      const natural = one.getViewport({ scale: 1 });
      const viewport = one.getViewport({ scale: width / natural.width });
      const canvas = document.createElement('canvas');
      canvas.width = Math.round(viewport.width);
      canvas.height = Math.round(viewport.height);
      await one.render({ canvas, viewport }).promise;
      page(canvas.toDataURL('image/jpeg', quality), canvas.height / canvas.width);
    }
  } finally {
    await loading.destroy();
  }
}

const mostPages = 40,
  quality = 0.9;

import type { TDocumentDefinitions } from 'pdfmake/interfaces';

/** Hands a document over as a PDF file. What makes it is fetched from the program when it is first wanted. */
export async function saveAsPdf(document: TDocumentDefinitions, name: string): Promise<void> {
  const [{ default: pdfMake }, { default: fonts }] = await Promise.all([
    import('pdfmake/build/pdfmake'),
    import('pdfmake/build/vfs_fonts'),
  ]);
  pdfMake.addVirtualFileSystem(fonts);
  await pdfMake.createPdf(document).download(`${name}.pdf`);
}

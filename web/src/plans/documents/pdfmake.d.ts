declare module 'pdfmake/build/pdfmake.min.js' {
  interface Made {
    getBuffer(): Promise<Uint8Array<ArrayBuffer>>;
  }
  const pdfMake: {
    addVirtualFileSystem(files: object): void;
    createPdf(document: object): Made;
  };
  export default pdfMake;
}
declare module 'pdfmake/build/vfs_fonts.js' {
  const files: object;
  export default files;
}

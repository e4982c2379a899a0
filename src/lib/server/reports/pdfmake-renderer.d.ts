/** The drawing half of pdfmake, which its own types leave out. */
declare module 'pdfmake/js/Renderer.js' {
  const renderer: { prototype: object } | { default: { prototype: object } };
  export default renderer;
}

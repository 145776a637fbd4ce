declare module 'virtual:language/*' {
  const sentences: Record<string, string>;
  export default sentences;
}

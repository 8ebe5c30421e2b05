/** A font as the build holds it: its bytes in base 64. */
declare module '*.woff' {
  const bytes: string;
  export default bytes;
}

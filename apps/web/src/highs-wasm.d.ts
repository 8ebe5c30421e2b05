/** Compiled code, by its address. */
declare module 'highs/runtime' {
  const address: string;
  export default address;
}

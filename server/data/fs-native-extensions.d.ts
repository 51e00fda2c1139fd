declare module 'fs-native-extensions' {
  const locks: { tryLock(file: number): boolean };
  export default locks;
}

declare module "virtual:screens/first" {
  const words: Record<string, string>;
  export default words;
}
declare module "virtual:screens/rest" {
  const words: Record<string, string>;
  export default words;
}

/** Where the files are that the core in the page is made of; empty while the page is edited. */
declare module "virtual:pocket" {
  export const RUNTIME: string;
  export const CORE: string;
  export const GRAPHS: string;
}

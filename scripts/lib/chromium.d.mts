/** Launch options of the browser that tests, pictures and measurements drive. */
export const CHROMIUM: { readonly executablePath: string; readonly args: string[] };

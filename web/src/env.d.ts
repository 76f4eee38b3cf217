/// <reference types="vite/client" />
declare module '*.css';
declare module '@fontsource-variable/*';

/** Drawings that phones read; the package brings no types of its own. */
declare module 'qrcode' {
  export function toString(
    text: string,
    options: { type: 'svg'; margin: number; errorCorrectionLevel: 'L' | 'M' | 'Q' | 'H' },
  ): Promise<string>;
}

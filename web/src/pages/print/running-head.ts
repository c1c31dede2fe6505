import { useEffect } from 'react';

/** A text as a string of a style sheet. */
function quoted(text: string): string {
  return `"${text.replace(/["\\\n\r<]/g, (letter) => `\\${letter.charCodeAt(0).toString(16)} `)}"`;
}

/** Prints a line at the top of every page of a report. */
export function useRunningHead(text: string): void {
  useEffect(() => {
    const sheet = new CSSStyleSheet();
    const head = `@top-left { content: ${quoted(text)}; font-size: 9pt; }`;
    sheet.replaceSync(`@page report-a4 { ${head} } @page report-letter { ${head} }`);
    document.adoptedStyleSheets = [...document.adoptedStyleSheets, sheet];
    return () => {
      document.adoptedStyleSheets = document.adoptedStyleSheets.filter((one) => one !== sheet);
    };
  }, [text]);
}

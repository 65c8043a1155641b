declare module 'unicode-confusables' {
  /**
   * The text with each character that could be taken for another written as that other (UTS 39,
   * confusables.txt).
   */
  export function rectifyConfusion(text: string): string;
}

/** Whether a text is a web page, or a part of one. */
export function looksLikePage(text: string): boolean {
  return (
    /^[\s\uFEFF]*(?:<!--[^>]*-->\s*)?<(?:!doctype html|html|head|body|table|div|dl|ul|ol|main|section|article|h[1-6]|p|meta|title|center)[\s>]/iu.test(
      text,
    ) || (text.match(/<\/t[dhr]>/giu)?.length ?? 0) > 3
  );
}

/** A text file for the browser to save. */
export function download(text: string, type: string, name: string): Response {
  return new Response(text, {
    headers: {
      'content-type': `${type}; charset=utf-8`,
      'content-disposition': `attachment; filename="${name.replace(/[^\w.-]/g, '_')}"`
    }
  });
}

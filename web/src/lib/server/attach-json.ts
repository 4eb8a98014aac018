/** A JSON document as a file to keep. */
export const attachJson = (content: unknown, name: string): Response =>
  new Response(JSON.stringify(content, null, 2), {
    headers: { 'content-type': 'application/json', 'content-disposition': `attachment; filename="${name}"` },
  });

/** What is under no verb and no device, answered as JSON. */
export default defineEventHandler((event) => {
  setResponseStatus(event, 404)
  return { error: { code: 'unknown-path', message: 'There is nothing under this path.' } }
})

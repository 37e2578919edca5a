/** The OpenAPI document. */
export default defineEventHandler(() => openApiDocument())

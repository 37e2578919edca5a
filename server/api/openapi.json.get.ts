import { openApiDocument } from '../http/openapi'

/** The OpenAPI document. */
export default defineEventHandler(() => openApiDocument())

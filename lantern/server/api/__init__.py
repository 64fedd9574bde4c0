"""What all routers share: the API object, error replies, limits, the OpenAPI snapshot."""

"""The HTTP API: reads a request, calls a service, answers in the contract's shapes."""

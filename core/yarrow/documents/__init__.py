"""The open formats: reading with refusals by path, writing, and the JSON Schemas behind both."""

"""The set-up file: bytes to a sound document, the document to inputs, and its JSON Schema.  One reader for every door."""

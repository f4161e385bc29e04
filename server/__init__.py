"""The web server: people, set-ups and runs in PostgreSQL, and the core's answers over HTTP."""

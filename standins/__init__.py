"""Stand-ins for what a field centre has and a test machine has not: processes of their own, on loopback only, never imported by the server."""

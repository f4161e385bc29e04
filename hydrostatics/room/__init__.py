"""The room: what is stated of it, what follows, a weather report's line, and what a set-up takes from a room in use."""

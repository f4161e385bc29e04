"""A lesson: demonstrations in their order, and what is to be done before the bell, worked backwards from it."""

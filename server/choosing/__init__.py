"""Choosing among demonstrations and set-ups: by idea, time, gear, and words with typing errors forgiven."""

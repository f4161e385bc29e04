"""What the class sees and learns, steps, question, explanation, words, rescue, starting set-ups: one text file a demonstration."""

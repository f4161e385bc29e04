"""What is printed to be laid on the bench at its true size."""

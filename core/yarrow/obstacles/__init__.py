"""What is there: things that a run meets, and the lines of bends that answer them."""

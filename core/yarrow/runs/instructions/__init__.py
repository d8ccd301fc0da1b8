"""What is said at the bender: the steps, and of an order what it costs and what frees it."""

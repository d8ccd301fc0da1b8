"""Stock: pieces on whole sticks and on offcuts in hand, as few sticks as can be."""

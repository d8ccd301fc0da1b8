"""What to expect of a piece: how far each of its dimensions comes out, by what a hand scatters."""

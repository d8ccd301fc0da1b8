"""The verbs of the public door, a room each: ``import yarrow`` loads one when it is first asked."""

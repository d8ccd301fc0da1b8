"""A framed wall: boxes, bored holes, and the pipe that runs through its studs."""

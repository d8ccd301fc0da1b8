"""Whether the wire goes in: conduit by area or factor, trunking, boxes, pull boxes, the pull."""

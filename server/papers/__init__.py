"""What the sheets of a job say: their headings, their pages, the names of their files."""

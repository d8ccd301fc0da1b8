"""From a walk to a plan: laying out, placing the bender, marks, steps and findings."""

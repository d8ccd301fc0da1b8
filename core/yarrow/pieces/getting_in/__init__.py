"""How a parted run is put together where it hangs: who turns, what that meets, what closes it."""

"""A device that keeps passkeys, as WebAuthn has it: for tests that need one that lies."""

from __future__ import annotations

import hashlib
import json
import os
from base64 import urlsafe_b64encode
from dataclasses import dataclass, field
from typing import Any

import cbor2
from cryptography.hazmat.primitives.asymmetric import ec
from cryptography.hazmat.primitives.hashes import SHA256

_PRESENT, _VERIFIED, _NEW = 0x01, 0x04, 0x40


def _text(data: bytes) -> str:
    return urlsafe_b64encode(data).rstrip(b"=").decode()


@dataclass
class Device:
    """With one passkey; ``verifies``: it has seen who holds it; ``count`` goes up with each use, of
    a device that counts."""

    origin: str = "http://testserver"
    name: str = "testserver"
    verifies: bool = True
    count: int = 0
    counts: bool = True
    key: Any = field(default_factory=lambda: ec.generate_private_key(ec.SECP256R1()))
    number: bytes = field(default_factory=lambda: os.urandom(16))

    def makes(self, options: dict[str, Any]) -> dict[str, Any]:
        """A new passkey, as a browser gives it."""
        numbers = self.key.public_key().public_numbers()
        x, y = (part.to_bytes(32, "big") for part in (numbers.x, numbers.y))
        public = cbor2.dumps({1: 2, 3: -7, -1: 1, -2: x, -3: y})
        kept = bytes(16) + len(self.number).to_bytes(2, "big") + self.number + public
        attested = {"fmt": "none", "attStmt": {}, "authData": self._data(_NEW) + kept}
        said = self._said("webauthn.create", options)
        response = {"clientDataJSON": said, "attestationObject": cbor2.dumps(attested)}
        return self._credential(response)

    def shows(self, options: dict[str, Any]) -> dict[str, Any]:
        """Its passkey, at the door."""
        self.count += self.counts
        data, said = self._data(0), self._said("webauthn.get", options)
        signed = self.key.sign(data + hashlib.sha256(said).digest(), ec.ECDSA(SHA256()))
        response = {"clientDataJSON": said, "authenticatorData": data, "signature": signed}
        return self._credential(response)

    def _data(self, more: int) -> bytes:
        flags = _PRESENT | (_VERIFIED if self.verifies else 0) | more
        place = hashlib.sha256(self.name.encode()).digest()
        return place + bytes([flags]) + self.count.to_bytes(4, "big")

    def _said(self, what: str, options: dict[str, Any]) -> bytes:
        told = {"type": what, "challenge": options["challenge"], "origin": self.origin}
        return json.dumps(told).encode()

    def _credential(self, response: dict[str, bytes]) -> dict[str, Any]:
        number = _text(self.number)
        read = {name: _text(data) for name, data in response.items()}
        return {"id": number, "rawId": number, "type": "public-key", "response": read}

"""The shape of every refusal, where no route is reached that would give it: by middleware."""

from __future__ import annotations

from django.http import JsonResponse


def problem_answer(status: int, code: str, message: str) -> JsonResponse:
    """What went wrong, as ``Problem`` of the API has it, about no field.

    Args:
        status: of HTTP.
        code: to act on.
        message: a sentence to show.
    """
    return JsonResponse({"code": code, "message": message, "errors": []}, status=status)

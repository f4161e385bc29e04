"""How a demonstration is prepared and led, as it goes over the wire."""

from __future__ import annotations

from ninja import Schema


class PersonOut(Schema):
    who: str
    job: str
    pupil: bool


class StepOfGuideOut(Schema):
    """minutes: at the bench, 0 for what is done beforehand; amiss: what may go wrong, and what then."""

    do: str
    minutes: float
    amiss: str
    caution: str


class ChoiceOut(Schema):
    answer: str
    wrong: str


class QuestionOfGuideOut(Schema):
    ask: str
    choices: list[ChoiceOut]


class LookOut(Schema):
    what: str
    when: str
    where: str


class ExplanationOut(Schema):
    short: str
    deep: str


class WordsOut(Schema):
    use: list[str]
    avoid: list[str]


class RescueOut(Schema):
    checks: list[str]
    sentence: str
    fall_back: str


class HomeOut(Schema):
    do: str
    not_for_home: str


class OpenQuestionOut(Schema):
    question: str
    answer: str


class HistoryOut(Schema):
    words: str
    source: str


class TaskOut(Schema):
    """Something to do beforehand: minutes, hands it keeps, what it needs one of, names of those before it; cools: lasts until it is cool."""

    name: str
    do: str
    minutes: float
    hands: int
    needs: list[str]
    after: list[str]
    cools: bool


class GuideOut(Schema):
    """How a demonstration is prepared and led, with this set-up's sizes in it.

    to_fill: the liquid that it takes once; to_make: holes, with height and size; minutes: of its steps at the bench together.
    """

    knows: str
    can: str
    first_words: str
    materials: list[str]
    people: list[PersonOut]
    steps: list[StepOfGuideOut]
    question: QuestionOfGuideOut
    look: list[LookOut]
    explanation: ExplanationOut
    words: WordsOut
    rescue: RescueOut
    variations: list[str]
    life: str
    home: HomeOut
    open: OpenQuestionOut
    history: HistoryOut
    clearing: list[str]
    preparing: list[TaskOut]
    fragile: list[str]
    to_fill: str
    to_make: list[str]
    minutes: float

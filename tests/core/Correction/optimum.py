"""An independent optimiser for corrections: reads cases as JSON on stdin, writes for each the least cost it finds.

A case: batch and candidate sums (sweet, sour, salt, heat, amino acids, nucleotides, grams), windows by axis, the grams that may be added of each
candidate, the room that a gram of each takes and that there is, what each costs for being added, and the costs of moves and mass.
The formulas are written again from the handbook, so that they check those of the program and not themselves.
"""
import itertools
import json
import math
import sys

import numpy
from scipy.optimize import minimize

SCALES = {"sweet": (0, 0.6, 0.17, 100), "sour": (1, 0.03, 0.22, 100), "salt": (2, 0.10, 0.15, 100), "heat": (3, 10.0, 0.35, 1), "umami": (4, 0.03, 0.21, 100)}


def steps(axis, value):
    _, threshold, weber, _ = SCALES[axis]
    return math.log(max(value, threshold) / threshold) / math.log(1 + weber)


def position(axis, sums):
    row, _, _, per = SCALES[axis]
    value = max(0.0, per * sums[row] / sums[6])
    if axis == "umami":
        value *= 1 + 1218 * max(0.0, 100 * sums[5] / sums[6])
    return steps(axis, value)


def best(case):
    batch = numpy.array(case["batch"])
    rows = numpy.array(case["candidates"])
    right, edges = {}, {}
    for axis, (low, high) in case["windows"].items():
        low, high, now = steps(axis, low), steps(axis, high), position(axis, batch)
        margin = min(0.25 * (high - low), 0.5)
        if now > high:
            edges[axis] = (low, high - margin)
        elif now < low:
            edges[axis] = (low + margin, high)
        else:
            edges[axis], right[axis] = (low, high), now

    def value(grams, chosen):
        sums = batch + grams @ chosen
        off = moved = 0.0
        for axis, (low, high) in edges.items():
            now = position(axis, sums)
            off += max(0.0, now - high, low - now) ** 2
            moved += (now - right[axis]) ** 2 if axis in right else 0.0
        return math.sqrt(off) + case["move"] * math.sqrt(moved) + case["mass"] * grams.sum() / batch[6]

    least = value(numpy.zeros(0), numpy.zeros((0, 7)))
    for size in (1, 2, 3):
        for support in itertools.combinations(range(len(rows)), size):
            support = list(support)
            chosen, takes = rows[support], numpy.array(case["takes"])[support]
            most = numpy.minimum(numpy.array(case["doses"])[support], case["most"] / takes)
            extra = sum(case["each"][one] for one in support)

            # one variable each, scaled by what is allowed; the room is a penalty that no good answer pays
            def penalised(shares):
                shares = numpy.clip(numpy.abs(shares), 0.0, 1.0)
                over = (shares * most * takes).sum() / case["most"] - 1.0
                return value(shares * most, chosen) + 100 * max(0.0, over)

            for start in ([0.05] * size, [0.5 / size] * size):
                found = minimize(penalised, start, method="Nelder-Mead", options={"xatol": 1e-4, "fatol": 1e-4, "maxiter": 160 * size})
                shares = numpy.clip(numpy.abs(found.x), 0.0, 1.0)
                shares = shares / max(1.0, (shares * most * takes).sum() / case["most"])
                least = min(least, value(shares * most, chosen) + extra)
    return least


json.dump([best(case) for case in json.load(sys.stdin)], sys.stdout)

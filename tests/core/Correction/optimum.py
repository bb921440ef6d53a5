"""An independent optimiser for corrections: reads cases as JSON on stdin, writes the least distance it finds for each.

A case: batch and candidate sums (sweet, sour, salt, heat, amino acids, nucleotides, grams), windows by axis, and the most grams that may be added.
The formulas are written again from the handbook, so that they check those of the program and not themselves.
"""
import itertools
import json
import math
import sys

import numpy
from scipy.optimize import minimize

SCALES = {"sweet": (0, 0.6, 0.17, 100), "sour": (1, 0.03, 0.22, 100), "salt": (2, 0.10, 0.15, 100), "heat": (3, 10.0, 0.35, 1), "umami": (4, 0.03, 0.21, 100)}


def distance(sums, windows):
    total = 0.0
    for axis, (low, high) in windows.items():
        row, threshold, weber, per = SCALES[axis]
        value = max(0.0, per * sums[row] / sums[6])
        if axis == "umami":
            value *= 1 + 1218 * max(0.0, 100 * sums[5] / sums[6])
        steps = math.log(max(value, threshold) / threshold) / math.log(1 + weber)
        edges = [math.log(max(edge, threshold) / threshold) / math.log(1 + weber) for edge in (low, high)]
        total += max(0.0, steps - edges[1], edges[0] - steps) ** 2
    return math.sqrt(total)


def best(case):
    batch = numpy.array(case["batch"])
    rows = numpy.array(case["candidates"])
    most = case["most"]
    least = distance(batch, case["windows"])
    for size in (1, 2, 3):
        for support in itertools.combinations(range(len(rows)), size):
            chosen = rows[list(support)]

            def value(grams):
                grams = numpy.maximum(grams, 0.0)
                return distance(batch + grams @ chosen, case["windows"]) + 0.1 * grams.sum() / batch[6]

            # one variable each, scaled by what is allowed; the room is a penalty that no good answer pays
            def penalised(shares):
                shares = numpy.abs(shares)
                return value(shares * most) + 100 * max(0.0, shares.sum() - 1.0)

            for start in ([0.05] * size, [0.4 / size] * size):
                found = minimize(penalised, start, method="Nelder-Mead", options={"xatol": 1e-4, "fatol": 1e-4, "maxiter": 160 * size})
                shares = numpy.abs(found.x)
                shares = shares / max(1.0, shares.sum())
                least = min(least, distance(batch + (shares * most) @ chosen, case["windows"]))
    return least


json.dump([best(case) for case in json.load(sys.stdin)], sys.stdout)

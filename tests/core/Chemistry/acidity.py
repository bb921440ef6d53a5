"""An independent solver of the charge balance: reads mixtures as JSON on stdin, writes the pH it finds for each.

A mixture: grams of water, of salt, of each acid, and the strong ion difference in mEq. Constants are written again from the CRC Handbook
(from memory), the species one by one with their own activity coefficients (Davies, A = 0.509, ionic strength counted up to 0.5), and the
root is found by SciPy's brentq, with the ionic strength settled anew for every pH that is tried.
"""
import json
import sys

from scipy.optimize import brentq

ACIDS = {
    "acetic": (60.052, [4.756], 0),
    "citric": (192.124, [3.128, 4.761, 6.396], 0),
    "malic": (134.087, [3.40, 5.11], 0),
    "tartaric": (150.087, [2.98, 4.34], 0),
    "lactic": (90.078, [3.86], 0),
    "phosphoric": (97.994, [2.148, 7.198, 12.319], 0),
    "glutamate": (147.129, [2.13, 4.31, 9.67], 1),
}
SALT = 58.443
WATER = 13.995


def gamma(charge, strength):
    root = min(strength, 0.5) ** 0.5
    return 10 ** (-0.509 * charge**2 * (root / (1 + root) - 0.3 * min(strength, 0.5)))


def ions(mixture, ph, strength):
    """Molality and charge of every ion but those of salt and the strong ion difference."""
    water = mixture["water"] / 1000
    activity = 10**-ph
    yield activity / gamma(1, strength), 1
    yield 10**-WATER / activity / gamma(1, strength), -1
    for acid, (mass, constants, charge) in ACIDS.items():
        total = mixture.get(acid, 0.0) / mass / water
        forms = [1.0]
        for step, constant in enumerate(constants):
            # Ka = a(H) · m(base) γ(base) / (m(acid) γ(acid))
            before, after = gamma(charge - step, strength), gamma(charge - step - 1, strength)
            forms.append(forms[-1] * 10**-constant / activity * before / after)
        for step, form in enumerate(forms):
            yield total * form / sum(forms), charge - step


def settled(mixture, ph):
    water = mixture["water"] / 1000
    background = mixture.get("salt", 0.0) / SALT / water + 0.5 * abs(mixture["sid"]) / 1000 / water
    strength = background
    for _ in range(500):
        following = background + 0.5 * sum(molality * charge**2 for molality, charge in ions(mixture, ph, strength))
        if abs(following - strength) < 1e-12:
            break
        strength = following
    return strength


def charge(ph, mixture):
    water = mixture["water"] / 1000
    strength = settled(mixture, ph)
    return mixture["sid"] / 1000 / water + sum(molality * z for molality, z in ions(mixture, ph, strength))


print(json.dumps([brentq(charge, -1.0, 14.0, args=(mixture,), xtol=1e-10) for mixture in json.load(sys.stdin)]))

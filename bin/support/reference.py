"""The figures of reference.php worked out from the log alone, by NumPy and SciPy: reference.py FOLDER FIGURES.json

Positions go through the WGS 84 radii of curvature at the subject; values and rates by a local quadratic with tricube
weights (W. S. Cleveland, J. Am. Stat. Assoc. 74, 1979); the circle by geometric least squares (scipy.optimize).
"""
import json
import sys
import time

import numpy as np
from scipy.optimize import least_squares

from bench_scipy import local_quadratic


def main(folder, figures):
    with open(figures, encoding="utf-8") as file:
        ours = json.load(file)
    columns = np.genfromtxt(f"{folder}/pass.csv", delimiter=",", names=True, dtype=float)
    began = time.perf_counter()
    a, e2, lat0 = 6378137.0, 0.006694379990141, np.radians(ours["lat"])
    root = np.sqrt(1 - e2 * np.sin(lat0) ** 2)
    north = np.radians(columns["lat"] - ours["lat"]) * a * (1 - e2) / root**3
    east = np.radians(columns["lon"] - ours["lon"]) * a / root * np.cos(lat0)
    heading = np.degrees(np.unwrap(np.radians(columns["heading_deg"])))
    t = columns["t"]
    nodes = np.arange(np.ceil(t[0] * 10) / 10, t[-1] + 1e-9, 0.1)
    (ex, ny), _ = local_quadratic(t, (east, north), nodes, 1.2)
    (sx, sy, sh), _ = local_quadratic(t, (east, north, heading), nodes, 1.8)
    hold = (nodes >= ours["hold_from"] - 1e-6) & (nodes <= ours["hold_to"] + 1e-6)
    whole = (nodes >= ours["from"] - 1e-6) & (nodes <= ours["to"] + 1e-6)
    distance = np.hypot(ex[:, 0], ny[:, 0])
    bearing = np.unwrap(np.arctan2(ex[:, 0], ny[:, 0]))
    along = (sx[:, 1] / 1.8 * ny[:, 0] - sy[:, 1] / 1.8 * ex[:, 0]) / distance
    pace = along[hold] * np.sign(np.median(along[hold]))
    circle = least_squares(lambda p: np.hypot(ex[hold, 0] - p[0], ny[hold, 0] - p[1]) - p[2], [0, 0, distance[hold].mean()])
    theirs = [
        np.median(pace), pace.std(), np.median(sh[hold, 1] / 1.8), distance[hold].mean(), distance[hold].std(),
        np.polyfit(nodes[hold], distance[hold], 1)[0] * (nodes[hold][-1] - nodes[hold][0]),
        np.degrees(abs(bearing[whole][-1] - bearing[whole][0])), circle.x[2],
    ]
    spent = 1000 * (time.perf_counter() - began)
    print(f"{'':36s} {'core/':>12s} {'SciPy':>12s} {'difference':>12s}")
    for (name, value), other in zip(ours["figures"].items(), theirs):
        print(f"{name:36s} {value:12.4f} {other:12.4f} {abs(value) - abs(other):12.5f}")
    print(f"{'milliseconds':36s} {ours['ms']:12.1f} {spent:12.1f}   (core/ judges the whole take meanwhile: score {ours['score']})")


main(sys.argv[1], sys.argv[2])

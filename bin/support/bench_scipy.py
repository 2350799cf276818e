"""The same smoothing and rates as core/Scoring, by NumPy and SciPy, for bin/bench to time beside it.

Reads a Flight CSV log, builds the 10 Hz grid by local quadratic regression with tricube weights for the same channels
and kernels, and prints the seconds it took. It judges nothing: the kernels are where the time goes.
"""
import sys
import time

import numpy as np
from scipy.ndimage import uniform_filter1d

EARTH = 6378137.0


def local_quadratic(t, channels, nodes, half_width):
    """Value, rate and acceleration of each channel at each node."""
    low = np.searchsorted(t, nodes - half_width, "right")
    high = np.searchsorted(t, nodes + half_width, "left")
    width = int((high - low).max())
    index = np.minimum(low[:, None] + np.arange(width), len(t) - 1)
    inside = (low[:, None] + np.arange(width)) < high[:, None]
    u = (t[index] - nodes[:, None]) / half_width
    weight = (1 - np.minimum(np.abs(u), 1) ** 3) ** 3 * inside
    basis = np.stack([weight, weight * u, weight * u * u], 1)
    moments = [np.sum(weight * u**k, 1) for k in range(5)]
    normal = np.empty((len(nodes), 3, 3))
    for i in range(3):
        for j in range(3):
            normal[:, i, j] = moments[i + j]
    rows = np.linalg.solve(normal, basis)
    return [np.einsum("nkm,nm->nk", rows, y[index]) for y in channels], np.sqrt((rows**2).sum(2))


def main(path):
    columns = np.genfromtxt(path, delimiter=",", names=True, dtype=float)
    began = time.perf_counter()
    t = columns["t"]
    north = np.radians(columns["lat"] - columns["lat"][0]) * EARTH
    east = np.radians(columns["lon"] - columns["lon"][0]) * EARTH * np.cos(np.radians(columns["lat"][0]))
    heading = np.degrees(np.unwrap(np.radians(columns["heading_deg"])))
    up, tilt = columns["alt_m"], columns["gimbal_tilt_deg"]
    nodes = np.arange(np.ceil(t[0] * 10) / 10, t[-1], 0.1)
    for channels, widths in (
        ((east, north), (1.2,)), ((up,), (1.0, 0.6)), ((heading, tilt), (0.7,)), ((east, north, up, heading, tilt), (1.8, 2.5)),
    ):
        for half_width in widths:
            local_quadratic(t, channels, nodes, half_width)
    uniform_filter1d(np.hypot(np.gradient(east), np.gradient(north)), 11)
    print(f"{1000 * (time.perf_counter() - began):.1f}")


if __name__ == "__main__":
    main(sys.argv[1])

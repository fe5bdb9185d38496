"""Pressure along the lines of a panel by SuperLU, as a baseline for `npm run bench -- pressure`.

Reads a panel as JSON (mesh, boards, pushes in N, gaps in mm) and writes how long each of some whole runs took, in ms: assembly,
then for each round of contact one sparse factor of all boards with the nodes that touch tied together. Rectangles with
Wilson's incompatible modes as in the program; nothing else is shared with it.
"""

import json
import sys
import time

import numpy as np
import scipy.sparse as sparse
from scipy.sparse.linalg import splu

MOST_ROUNDS = 60
# N/mm against drifting: soft beside any wood.
SOFT = 1e-6
CORNERS = np.array([[-1, -1], [1, -1], [1, 1], [-1, 1]])


def elements(wood, widths, height, thickness):
    """Stiffness of rectangles of one height and such widths, u and v of each corner in turn."""
    ex, ey, g, nu = wood["exMPa"], wood["eyMPa"], wood["gMPa"], wood["nuXy"]
    scale = 1 / (1 - nu * nu * ey / ex)
    plane = np.array([[ex * scale, nu * ey * scale, 0], [nu * ey * scale, ey * scale, 0], [0, 0, g]])
    count = len(widths)
    stiffness = np.zeros((count, 12, 12))
    x, y = CORNERS[:, 0], CORNERS[:, 1]
    at = 1 / np.sqrt(3)
    for xi in (-at, at):
        for eta in (-at, at):
            along = np.zeros((count, 6))
            across = np.zeros((count, 6))
            along[:, :4] = np.outer(2 / widths, x * (1 + y * eta) / 4)
            across[:, :4] = 2 / height * y * (1 + x * xi) / 4
            along[:, 4] = -2 * xi * 2 / widths
            across[:, 5] = -2 * eta * 2 / height
            strain = np.zeros((count, 3, 12))
            strain[:, 0, 0::2] = along
            strain[:, 1, 1::2] = across
            strain[:, 2, 0::2] = across
            strain[:, 2, 1::2] = along
            weight = thickness * widths * height / 4
            stiffness += np.einsum("eki,kl,elj->eij", strain, plane, strain) * weight[:, None, None]
    bubbles = np.linalg.solve(stiffness[:, 8:, 8:], stiffness[:, 8:, :8])
    return stiffness[:, :8, :8] - stiffness[:, :8, 8:] @ bubbles


def pressed(panel):
    """Forces at the nodes of each line, N, and rounds of contact."""
    nodes = len(panel["xsMm"])
    widths = np.diff(np.array(panel["xsMm"]))
    rows, columns, values, lows, highs, base = [], [], [], [], [], 0
    for board in panel["boards"]:
        across = np.array(board["ysMm"])
        count = len(across)
        each = elements(board["wood"], widths, across[1] - across[0], panel["thicknessMm"])
        ids = base + np.arange(nodes)[:, None] * count + np.arange(count)[None, :]
        corners = np.stack([ids[:-1, :-1], ids[1:, :-1], ids[1:, 1:], ids[:-1, 1:]], axis=-1)
        unknowns = np.stack([2 * corners, 2 * corners + 1], axis=-1).reshape(nodes - 1, count - 1, 8)
        all_of = np.broadcast_to(each[:, None], (nodes - 1, count - 1, 8, 8))
        rows.append(np.broadcast_to(unknowns[..., :, None], all_of.shape).ravel())
        columns.append(np.broadcast_to(unknowns[..., None, :], all_of.shape).ravel())
        values.append(all_of.ravel())
        lows.append(2 * ids[:, 0] + 1)
        highs.append(2 * ids[:, -1] + 1)
        base += nodes * count
    size = 2 * base
    rows, columns, values = (np.concatenate(parts) for parts in (rows, columns, values))
    load = np.zeros(size)
    load[lows[0]] += panel["push"]
    load[highs[-1]] -= panel["push"]
    gaps = [np.array(gap) for gap in panel["gaps"]]
    touching = [np.ones(nodes, bool) for _ in gaps]
    for rounds in range(1, MOST_ROUNDS + 1):
        owner = np.arange(size)
        offset = np.zeros(size)
        for line, gap in enumerate(gaps):
            tied = touching[line]
            owner[lows[line + 1][tied]] = owner[highs[line][tied]]
            offset[lows[line + 1][tied]] = offset[highs[line][tied]] - gap[tied]
        kept = np.unique(owner)
        number = np.full(size, -1)
        number[kept] = np.arange(len(kept))
        to = number[owner]
        matrix = sparse.coo_matrix((values, (to[rows], to[columns])), shape=(len(kept), len(kept))).tocsc()
        matrix = matrix + sparse.diags(np.full(len(kept), SOFT))
        right = np.zeros(len(kept))
        np.add.at(right, to, load - np.bincount(rows, values * offset[columns], size))
        factored = splu(
            matrix.tocsc(),
            permc_spec="MMD_AT_PLUS_A",
            diag_pivot_thresh=0,
            options={"SymmetricMode": True},
        )
        moved = factored.solve(right)[to] + offset
        carried = np.bincount(rows, values * moved[columns], size) - load
        wrong, forces = 0, []
        for line, gap in enumerate(gaps):
            tied = touching[line]
            force = -carried[highs[line]]
            still_open = gap + moved[lows[line + 1]] - moved[highs[line]]
            pulls = tied & (force < -1e-9 * max(1e-12, np.abs(force).max()))
            overlaps = ~tied & (still_open < -1e-9)
            wrong += pulls.sum() + overlaps.sum()
            touching[line] = (tied & ~pulls) | overlaps
            forces.append(np.where(tied, force, 0))
        if wrong == 0:
            break
    return forces, rounds


panel = json.load(sys.stdin)
took = []
for _ in range(panel["times"]):
    started = time.perf_counter()
    forces, rounds = pressed(panel)
    took.append((time.perf_counter() - started) * 1000)
total = float(sum(panel["push"]))
# Every line carries the whole pull, or the baseline is not one.
assert all(abs(force.sum() - total) < 1e-3 * total for force in forces)
json.dump({"ms": took, "rounds": rounds}, sys.stdout)

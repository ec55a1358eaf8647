namespace FaithfulBracket.Core.Pads.Cutting;

internal enum FreeChoice
{
    BestArea,
    BestShortSide,
    BestLongSide,
}

internal enum SplitRule
{
    ShorterLeftover,
    LongerLeftover,
    LargerRest,
}

/// <summary>One pass of guillotine best fit over an order of pieces; sheets are opened as they are needed, offcuts first.</summary>
internal static class GreedyFill
{
    /// <summary>What a pass has to beat; a pass that cannot is given up where that shows.</summary>
    /// <param name="Offcut">Of each kind of sheet: whether it is no new one.</param>
    /// <param name="LeftoverMm2">Largest single leftover.</param>
    public sealed record Beat(IReadOnlyList<bool> Offcut, int Unplaced, int NewSheets, double LeftoverMm2);

    /// <param name="order">Indices into <paramref name="pieces"/>.</param>
    /// <param name="sheets">Kinds of sheet and how many there are of each, in the order in which they are opened.</param>
    /// <param name="beat">Null runs to the end.</param>
    /// <returns>A tree per opened sheet, and the pieces that found no place; null where it was given up.</returns>
    public static (List<(int Sheet, CutNode Root)> Opened, List<int> Unplaced)? Run(
        IReadOnlyList<(double W, double H)> pieces,
        IReadOnlyList<int> order,
        IReadOnlyList<(double W, double H, int Count)> sheets,
        FreeChoice choice,
        SplitRule split,
        Beat? beat = null
    )
    {
        var opened = new List<(int, CutNode)>();
        var free = new List<CutNode>();
        var unplaced = new List<int>();
        var closed = sheets.Select(s => s.Count).ToArray();
        foreach (var i in order)
        {
            var (w, h) = pieces[i];
            var at = Best(free, w, h, choice, out var turned);
            if (at < 0)
            {
                var sheet = Array.FindIndex(closed, 0, c => c > 0);
                while (
                    sheet >= 0
                    && !(Holds(sheets[sheet].W, sheets[sheet].H, w, h) || Holds(sheets[sheet].W, sheets[sheet].H, h, w))
                )
                    sheet = Array.FindIndex(closed, sheet + 1, c => c > 0);
                if (sheet < 0)
                {
                    unplaced.Add(i);
                    if (unplaced.Count > beat?.Unplaced)
                        return null;
                    continue;
                }
                var root = new CutNode(new(0, 0, sheets[sheet].W, sheets[sheet].H));
                opened.Add((sheet, root));
                closed[sheet]--;
                free.Add(root);
                at = Best(free, w, h, choice, out turned);
            }
            var node = free[at];
            free.RemoveAt(at);
            var (pw, ph) = turned ? (h, w) : (w, h);
            free.AddRange(node.Lay(i, pw, ph, turned, FirstAxis(node.Rect, pw, ph, split)));
            if (beat is not null && !Can(beat))
                return null;
        }
        return (opened, unplaced);

        // what is free is only ever cut smaller: its largest piece bounds the leftover
        bool Can(Beat best)
        {
            var sheetsNow = opened.Count(o => !best.Offcut[o.Item1]);
            if (unplaced.Count < best.Unplaced || sheetsNow < best.NewSheets || best.LeftoverMm2 <= 0)
                return true;
            if (sheetsNow > best.NewSheets)
                return false;
            for (var k = 0; k < free.Count; k++)
                if (free[k].Rect.Area >= best.LeftoverMm2)
                    return true;
            for (var k = 0; k < closed.Length; k++)
                if (best.Offcut[k] && closed[k] > 0 && sheets[k].W * sheets[k].H >= best.LeftoverMm2)
                    return true;
            return false;
        }
    }

    public static bool Holds(double haveW, double haveH, double w, double h) =>
        w <= haveW + CutPlanner.Epsilon && h <= haveH + CutPlanner.Epsilon;

    private static int Best(List<CutNode> free, double w, double h, FreeChoice choice, out bool turned)
    {
        int best = -1;
        turned = false;
        var least = double.PositiveInfinity;
        for (var k = 0; k < free.Count; k++)
        {
            var r = free[k].Rect;
            for (var t = 0; t < 2; t++)
            {
                var (pw, ph) = t == 1 ? (h, w) : (w, h);
                if (!Holds(r.W, r.H, pw, ph))
                    continue;
                double dx = r.W - pw,
                    dy = r.H - ph;
                var score = choice switch
                {
                    FreeChoice.BestArea => r.Area - pw * ph,
                    FreeChoice.BestShortSide => Math.Min(dx, dy),
                    _ => Math.Max(dx, dy),
                };
                // a side that fits exactly saves a cut and leaves no sliver
                if (dx <= CutPlanner.Epsilon || dy <= CutPlanner.Epsilon)
                    score -= 0.5 * Math.Sqrt(r.Area);
                if (score < least)
                    (best, least, turned) = (k, score, t == 1);
            }
        }
        return best;
    }

    private static char FirstAxis(Rect r, double w, double h, SplitRule split)
    {
        double dx = r.W - w,
            dy = r.H - h;
        return split switch
        {
            SplitRule.ShorterLeftover => dx < dy ? 'y' : 'x',
            SplitRule.LongerLeftover => dx < dy ? 'x' : 'y',
            _ => Math.Max(dx * r.H, dy * w) >= Math.Max(dx * h, dy * r.W) ? 'x' : 'y',
        };
    }
}

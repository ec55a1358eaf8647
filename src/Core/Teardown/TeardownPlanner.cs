using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Words.Teardown;

namespace FaithfulBracket.Core.Teardown;

/// <summary>Plans the strip-down of a stock assembly: order, tray, and the way back.</summary>
public static class TeardownPlanner
{
    /// <summary>Groups, leads and pieces that one order can hold: bits of a set.</summary>
    public const int MaxActs = 128;

    /// <exception cref="InputException">The board has no assembly, or the assembly cannot be taken apart as described.</exception>
    /// <param name="chosen">An order somebody chose; taken where it is legal.</param>
    public static TeardownPlan Plan(
        Board board,
        IReadOnlyList<string>? chosen = null,
        Loosening loosening = Loosening.RingLast,
        CancellationToken cancel = default
    )
    {
        if (board.Assembly is not { } assembly)
            throw new InputException("board/assembly", TeardownPlannerWords.BoardHasNoAssembly);
        // pointers of faults are of the document as it stands; what stays is left alone after that
        var graph = AssemblyGraph.Create(assembly, loosening);
        assembly = Staying.Without(assembly);
        var (order, proven) = ChosenOrder.Indices(graph, assembly, chosen, loosening) is { } own
            ? (own, false)
            : new OrderSearch(graph).Solve(cancel);
        var tray = Tray(assembly);
        var steps = new List<TeardownStep>();
        int flips = 0,
            changes = 0;
        Face? face = null;
        string? driver = null;
        foreach (var act in order.Select(i => graph.Acts[i]))
        {
            var flipped = face is { } f && f != act.Face;
            var changed = act.Driver is not null && driver is not null && driver != act.Driver;
            steps.Add(TeardownReasons.Describe(board, assembly, act, steps, changed, loosening));
            if (flipped)
                flips++;
            if (changed)
                changes++;
            face = act.Face;
            driver = act.Driver ?? driver;
        }
        // however it came off, a cooler is set down by its die ring first
        var back = loosening == Loosening.RingLast ? Restore(steps, tray) : Plan(board, null, cancel: cancel).Restore;
        return new(steps, flips, changes, proven, tray, back);
    }

    /// <summary>One cell for each driver, thread and length: two lengths never share.</summary>
    private static List<TrayCell> Tray(Assembly assembly) =>
        [
            .. assembly
                .Fasteners.GroupBy(f => (f.Driver, f.Thread, f.LengthMm))
                .Select(
                    (g, i) =>
                        new TrayCell(
                            $"{(char)('A' + i / 4 % 26)}{i % 4 + 1}",
                            g.Key.Driver,
                            g.Key.Thread,
                            g.Key.LengthMm,
                            g.Sum(f => f.Count),
                            [.. g.Select(f => f.Id)]
                        )
                ),
        ];

    private static List<RestoreStep> Restore(List<TeardownStep> steps, List<TrayCell> tray) =>
        [
            .. steps
                .AsEnumerable()
                .Reverse()
                .Select(s => new RestoreStep(
                    s.Action switch
                    {
                        TeardownAction.Unscrew => RestoreAction.Fasten,
                        TeardownAction.Unplug => RestoreAction.Plug,
                        _ => RestoreAction.Set,
                    },
                    s.Target,
                    s.Name,
                    s.Driver,
                    s.Face,
                    s.Count,
                    tray.FirstOrDefault(c => c.Fasteners.Contains(s.Target))?.Cell
                )),
        ];
}

using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Words.Teardown;

namespace FaithfulBracket.Core.Teardown;

/// <summary>Says why a step comes now, what locks a lift, and how to free what is stuck.</summary>
internal static class TeardownReasons
{
    public static TeardownStep Describe(
        Board board,
        Assembly assembly,
        TeardownAct act,
        IReadOnlyList<TeardownStep> before,
        bool changed,
        Loosening loosening
    )
    {
        switch (act.Action)
        {
            case TeardownAction.Unscrew:
                var f = assembly.Fasteners.First(x => x.Id == act.Target);
                return new(
                    act.Action,
                    f.Id,
                    ScrewName(f),
                    f.Driver,
                    f.Face,
                    f.Count,
                    WhyScrew(assembly, f, before, changed, loosening),
                    [],
                    ScrewAdvice(assembly, f, before)
                );
            case TeardownAction.Unplug:
                var l = assembly.Leads.First(x => x.Id == act.Target);
                return new(
                    act.Action,
                    l.Id,
                    $"{l.Name} lead",
                    null,
                    l.Face,
                    1,
                    TeardownReasonsWords.CableJoins(
                        Names(assembly, l.Between),
                        l.SlackMm is { } s ? TeardownReasonsWords.WithOfSlack(s) : ""
                    ),
                    [],
                    [Latch(l.Latch)]
                );
            default:
                var p = assembly.Pieces.First(x => x.Id == act.Target);
                var screws = assembly.Fasteners.Where(x => x.Joins.Contains(p.Id)).ToList();
                var leads = assembly.Leads.Where(x => x.Between.Contains(p.Id)).ToList();
                List<string> gone = [];
                if (screws.Count > 0)
                    gone.Add($"{HowMany.Count(screws.Sum(x => x.Count), "screw is", "screws are")} out");
                if (leads.Count > 0)
                    gone.Add($"{HowMany.Count(leads.Count, "lead is", "leads are")} off");
                var held =
                    gone.Count == 0
                        ? TeardownReasonsWords.OnlyBondsHoldIt
                        : TeardownReasonsWords.OnlyBondsStillHoldIt(string.Join(" and ", gone));
                return new(
                    act.Action,
                    p.Id,
                    p.Name,
                    null,
                    p.Face,
                    1,
                    held,
                    [.. screws.Select(x => x.Id), .. leads.Select(x => x.Id)],
                    LiftAdvice(board, assembly, p, leads)
                );
        }
    }

    private static string ScrewName(FastenerGroup f) =>
        FormattableString.Invariant(
            $"{f.Count} × {f.Thread ?? f.Driver}{(f.LengthMm is { } l ? $" × {l:0.#}" : "")}{(Rings.IsRing(f) ? ", die ring" : "")}"
        );

    private static Message WhyScrew(
        Assembly assembly,
        FastenerGroup f,
        IReadOnlyList<TeardownStep> before,
        bool changed,
        Loosening loosening
    )
    {
        if (f.Seal)
            return TeardownReasonsWords.TheseSitUnderWarrantySeal;
        if (f.HiddenBy is { } cover)
            return TeardownReasonsWords.NowReachableHidThem(Name(assembly, cover));
        if (
            loosening == Loosening.CoreOutward
            && Rings.IsRing(f)
            && assembly.Fasteners.Any(p => Rings.ArePeers(f, p) && !before.Any(b => b.Target == p.Id))
        )
            return TeardownReasonsWords.CoreLetsGoFirst;
        if (Rings.IsRing(f) && before.Any(b => b.Action == TeardownAction.Unscrew))
            return TeardownReasonsWords.DieRingComesAfterPeers;
        if (
            assembly.Fasteners.Any(x => x.HiddenBy == f.Id)
            || f.Joins.Any(j => assembly.Fasteners.Any(x => x.HiddenBy == j))
        )
            return TeardownReasonsWords.OtherScrewsLie;
        return before.Any(b => b.Driver is not null) && !changed ? TeardownReasonsWords.SameDriverAsBefore
            : changed ? TeardownReasonsWords.ChangeDriver(f.Driver)
            : (Message)$"First driver: {f.Driver}.";
    }

    private static IReadOnlyList<Message> ScrewAdvice(
        Assembly assembly,
        FastenerGroup f,
        IReadOnlyList<TeardownStep> before
    ) =>
        !Rings.IsRing(f)
            ? LastHold(assembly, f, before) is { } piece
                ? [TeardownReasonsWords.SupportWhileLastScrewsLeave(piece)]
                : []
            :
            [
                .. f.Count switch
                {
                    <= 1 => [],
                    2 => new[] { TeardownReasonsWords.ByTurnsTurnEachBeforeEither },
                    _ => new[] { TeardownReasonsWords.InCrossTurnEachBeforeAny },
                },
                .. assembly.Fasteners.Any(p => Rings.ArePeers(f, p) && !before.Any(b => b.Target == p.Id))
                    ? Array.Empty<Message>()
                    : [TeardownReasonsWords.SupportCoolerWhileLastScrewsLeave],
                .. f.SpringLoaded ? new[] { TeardownReasonsWords.SpringsUnderLoad } : [],
            ];

    /// <summary>A piece on the front that nothing but these screws, put in from behind, still holds.</summary>
    private static string? LastHold(Assembly assembly, FastenerGroup f, IReadOnlyList<TeardownStep> before) =>
        f.Face != Face.Back
            ? null
            : assembly
                .Pieces.FirstOrDefault(p =>
                    p.Face == Face.Front
                    && f.Joins.Contains(p.Id)
                    && assembly.Fasteners.All(x =>
                        x.Id == f.Id || !x.Joins.Contains(p.Id) || before.Any(b => b.Target == x.Id)
                    )
                )
                ?.Name;

    private static Message Latch(string latch) =>
        latch switch
        {
            "squeeze" => TeardownReasonsWords.SqueezeLatchPullPlugNeverWires,
            "pull-tab" => TeardownReasonsWords.PullTabStraightOut,
            "lift-bar" => TeardownReasonsWords.LiftBarWithPlasticToolThen,
            _ => TeardownReasonsWords.PullStraightPlugHeldNever,
        };

    private static List<Message> LiftAdvice(Board board, Assembly assembly, Piece piece, List<Lead> leads)
    {
        var advice = new List<Message>();
        foreach (var b in assembly.Bonds.Where(b => b.Between.Contains(piece.Id)))
        {
            advice.Add(
                b.Kind switch
                {
                    BondKind.Clips => TeardownReasonsWords.ClipsHoldIt,
                    BondKind.Tape => TeardownReasonsWords.TapeHoldsIt,
                    BondKind.Snug => TeardownReasonsWords.ItSitsSnug,
                    _ => TeardownReasonsWords.PadsAndPasteGlue,
                }
            );
            if (b.Metal)
                advice.Add(TeardownReasonsWords.LiquidMetalLies);
            if (b.Warm)
                advice.Add(TeardownReasonsWords.WarmItFirstEvenlyWithHeat);
        }
        advice.AddRange(LiftSide.Advice(board, piece, leads, advice.Count > 0));
        return [.. advice.Distinct()];
    }

    private static string Names(Assembly assembly, IReadOnlyList<string> ids) =>
        string.Join(" and ", ids.Select(i => Name(assembly, i)));

    private static string Name(Assembly assembly, string id) =>
        id == Assembly.BoardId ? "the board"
        : assembly.Pieces.FirstOrDefault(p => p.Id == id) is { } p ? $"the {p.Name}"
        : assembly.Leads.FirstOrDefault(l => l.Id == id) is { } l ? $"the {l.Name} lead"
        : $"group {id}";
}

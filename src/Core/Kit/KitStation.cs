using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Sockets;
using FaithfulBracket.Core.Words.Kit;

namespace FaithfulBracket.Core.Kit;

/// <param name="Lines">What the order needs, and where it comes from.</param>
public sealed record KitResult(IReadOnlyList<KitLine> Lines, StationPlan Sheet)
{
    public IReadOnlyList<KitLine> Short => [.. Lines.Where(l => l.Short > 0)];
}

/// <summary>Kit: boxes counted, manuals read, the card run with its stock cooler.</summary>
public sealed class KitStation : IStation<KitResult>
{
    /// <summary>What the stations after this one use up.</summary>
    public required KitNeeds Needs { get; init; }

    public KitResult Plan(PlanContext context, EarlierResults earlier)
    {
        var (order, drawer, seats) = (context.Order, context.Drawer, earlier.Seats());
        // one block's screws may take the place of another's
        var others = (earlier.Find<MatchResult>()?.Laid() ?? [])
            .SelectMany(l => BehindScrews.OfOthers(l.On.Laid.Block).Select(h => (l.Pair.Key, h)))
            .ToHashSet();
        var lines = order.Pairs.Count == 0 ? [] : KitCheck.Check(order, drawer, Needs, seats, others);
        var boxes = order.Pairs.Select(p => p.Block.Id).Distinct().Count();
        return Counted(
            order,
            lines,
            [
                new()
                {
                    Id = new(Station.Kit, null, CountTarget),
                    Kind = StepKind.Count,
                    Done = "Counted",
                    Title =
                        boxes > 1
                            ? KitStationWords.OpenBoxesOfBlocksAndCount(order.Boxes.Count)
                            : KitStationWords.OpenBlocksBoxAndCount,
                },
                .. seats.SelectMany(seat => SocketKit.Steps(order, seat)),
                new()
                {
                    Id = new(Station.Kit, null, "manual"),
                    Kind = StepKind.Read,
                    Done = KitStationWords.ManualRead,
                    Title = KitStationWords.ReadManualsRevisionAndManual,
                    Detail = KitStationWords.KitsChangeWithoutNotice,
                },
                .. SeatedBoard.Ran(order) ? [StockRun(order)] : Array.Empty<WorkStep>(),
            ]
        );
    }

    private const string CountTarget = "count";

    /// <summary>With what the acts of every step use.</summary>
    /// <param name="steps">Of the whole job, with their acts.</param>
    public static KitResult With(KitResult kit, WorkOrder order, Drawer drawer, IReadOnlyList<WorkStep> steps) =>
        order.Pairs.Count == 0
            ? kit
            : Counted(order, [.. kit.Lines, .. KitCheck.Used(order, drawer, steps)], kit.Sheet.Steps);

    private static KitResult Counted(WorkOrder order, IReadOnlyList<KitLine> lines, IReadOnlyList<WorkStep> steps)
    {
        var missing = lines.Where(l => l.Short > 0).ToList();
        List<string> unlisted =
        [
            .. order.Pairs.Select(p => p.Block).Where(b => b.Kit is null).Select(b => b.Model).Distinct(),
        ];
        var summary =
            lines.Count == 0 ? (Message)$"waits for a block"
            : missing.Count == 0
                ? unlisted.Count == 0 ? (Message)$"all here"
                    : (Message)$"box not listed"
            : (Message)$"{Amount(missing[0])} short{(missing.Count > 1 ? $", {missing.Count - 1} more" : "")}";
        var told =
            (
                missing.Count > 0 ? (Message)$"Short: {string.Join(", ", missing.Select(Amount))}."
                : unlisted.Count == 0 ? KitStationWords.KitAndDrawerHoldEverythingJob
                : KitStationWords.DrawerHoldsWhatCanBeCalculated
            ) + Unlisted(unlisted);
        return new(
            lines,
            new(
                Station.Kit,
                summary,
                missing.Count > 0,
                [.. steps.Select(s => s.Id.Target == CountTarget ? s with { Detail = told } : s)]
            )
        );
    }

    /// <summary>What is in a box whose list nobody has written down, and what cannot be told without it.</summary>
    private static Message Unlisted(List<string> models) =>
        models.Count == 0 ? Message.Empty : KitStationWords.ListIsOneInBox(string.Join(" or ", models));

    private static WorkStep StockRun(WorkOrder order) =>
        new()
        {
            Id = new(Station.Kit, null, "stock-run"),
            Kind = StepKind.Run,
            Done = KitStationWords.ItRunsReadingsTaken,
            Title = order.Pieces.Any(p => p.Seated is not null)
                ? KitStationWords.RunMachineWithOldCooler
                : KitStationWords.RunWithStockCoolerAndTake(OrderNames.Subject(order)),
            Detail = KitStationWords.DeadPartMustBeFoundBefore,
            Caution = KitStationWords.WarrantyMayEndWhenSeal,
        };

    private static string Amount(KitLine l) =>
        FormattableString.Invariant($"{l.Short:0.##} {(l.Unit.Length > 0 ? l.Unit : "×")} {l.Name}");
}

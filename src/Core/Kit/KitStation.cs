using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Sockets;

namespace FaithfulBracket.Core.Kit;

/// <param name="Lines">What the order needs, and where it comes from.</param>
public sealed record KitResult(IReadOnlyList<KitLine> Lines, StationPlan Sheet)
{
    public IReadOnlyList<KitLine> Short => [.. Lines.Where(l => l.Short > 0)];
}

/// <summary>Kit: boxes counted, manuals read, the card run with its stock cooler.</summary>
public static class KitStation
{
    /// <param name="match">Says where one block's screws take the place of another's.</param>
    public static KitResult Of(
        WorkOrder order,
        Drawer drawer,
        KitNeeds needs,
        IReadOnlyList<SeatPlan>? seats = null,
        MatchResult? match = null
    )
    {
        var others = (match?.Laid() ?? [])
            .SelectMany(l => BehindScrews.OfOthers(l.On.Laid.Block).Select(h => (l.Pair.Key, h)))
            .ToHashSet();
        var lines = order.Pairs.Count == 0 ? [] : KitCheck.Of(order, drawer, needs, seats, others);
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
                            ? $"Open the boxes of the {order.Boxes.Count} blocks and count them against the list"
                            : "Open the block's box and count it against the list",
                },
                .. (seats ?? []).SelectMany(seat => SocketKit.Steps(order, seat)),
                new()
                {
                    Id = new(Station.Kit, null, "manual"),
                    Kind = StepKind.Read,
                    Done = "Manual read",
                    Title = "Read the manual's revision and the manual",
                    Detail = "Kits change without notice. Where the manual says otherwise, the manual wins.",
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
            lines.Count == 0 ? "waits for a block"
            : missing.Count == 0
                ? unlisted.Count == 0 ? "all here"
                    : "box not listed"
            : $"{Amount(missing[0])} short{(missing.Count > 1 ? $", {missing.Count - 1} more" : "")}";
        var told =
            (
                missing.Count > 0 ? $"Short: {string.Join(", ", missing.Select(Amount))}."
                : unlisted.Count == 0 ? "Kit and drawer hold everything the job needs."
                : "The drawer holds what can be reckoned."
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

    /// <summary>What is in a box whose list nobody has written down, and what can not be told without it.</summary>
    private static string Unlisted(List<string> models) =>
        models.Count == 0
            ? ""
            : $" The list is the one in the box: nobody has written it into the document of {string.Join(" or ", models)} yet. "
                + "Until then its screws are known by thread, not by length.";

    private static WorkStep StockRun(WorkOrder order) =>
        new()
        {
            Id = new(Station.Kit, null, "stock-run"),
            Kind = StepKind.Run,
            Done = "It runs, readings taken",
            Title = order.Pieces.Any(p => p.Seated is not null)
                ? "Run the machine with its old cooler and take the before reading"
                : $"Run the {OrderNames.Subject(order)} with its stock cooler and take the before reading",
            Detail = "A dead part must be found before the seal is broken. Enter the reading at Prove.",
            Caution = "Warranty may end when the seal is broken: check the terms and local consumer law first.",
        };

    private static string Amount(KitLine l) =>
        FormattableString.Invariant($"{l.Short:0.##} {(l.Unit.Length > 0 ? l.Unit : "×")} {l.Name}");
}

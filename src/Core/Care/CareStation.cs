using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Pads;
using FaithfulBracket.Core.Paste;
using FaithfulBracket.Core.Sockets;
using FaithfulBracket.Core.Teardown;
using FaithfulBracket.Core.Words.Care;

namespace FaithfulBracket.Core.Care;

/// <param name="RepasteMonths">By the paste's kind, capped by the shop; null where no face took paste.</param>
/// <param name="Restore">Back to stock, step by step, from where the job stands; empty until that is asked for.</param>
public sealed record CareResult(int? RepasteMonths, IReadOnlyList<WorkStep> Restore, StationPlan Sheet)
{
    /// <summary>What became of the stock parts, in sentences; null in a record from before this was told.</summary>
    public string? Kept { get; init; }

    /// <summary>What does not go back as it was, in sentences; null in a record from before this was told.</summary>
    public IReadOnlyList<string>? Lost { get; init; }
}

/// <summary>Care: what is kept, when to look again, the hand-over, and the way back to stock.</summary>
public sealed class CareStation : IStation<CareResult>
{
    public CareResult Plan(PlanContext context, EarlierResults earlier)
    {
        var (order, shop) = (context.Order, context.Shop);
        var (pads, paste) = (earlier.Get<PadsResult>(), earlier.Get<PasteResult>());
        int? months =
            order.Pairs.Count > 0 && paste.Faces.Count == 0
                ? null
                : Math.Min(shop.RepasteCapMonths, context.Paste?.MonthsToRepaste ?? shop.RepasteCapMonths);
        var kept = StockParts.Words(order, earlier.Get<MatchResult>(), earlier.Get<TeardownResult>(), context.Ways);
        return new CareResult(
            months,
            [],
            new(
                Station.Care,
                months is null ? CareStationWords.LookAtLoopYearly : CareStationWords.RepasteInMonthsOrByDrift(months),
                false,
                [
                    Step(
                        "stock",
                        StepKind.Store,
                        order.Pieces.All(p => p.Board.Kind == BoardKind.MemoryModule)
                            ? CareStationWords.StoreStockSpreadersInTheirTray
                            : CareStationWords.StoreStockCoolerWithScrews,
                        "Stored and labelled",
                        kept
                    ),
                    Step(
                        "offcuts",
                        StepKind.Store,
                        pads.Pieces.Count > 0
                            ? CareStationWords.PutOffcutsInDrawerAndNote
                            : CareStationWords.PutRestInDrawerAndNote,
                        "Drawer is right",
                        Used(pads, paste)
                    ) with
                    {
                        Feel =
                            pads.Pieces.Count > 0
                                ? CareStationWords.EveryOffcutLiesFlatInBag
                                : CareStationWords.CapsAreOnAndEveryTube,
                    },
                    .. earlier.Seats().Any(s => s.Coat.Count > 0)
                        ?
                        [
                            Step(
                                "coat-note",
                                StepKind.Note,
                                CareStationWords.NoteOnRecord,
                                "Noted",
                                CareStationWords.AlcoholStripsCoat
                            ),
                        ]
                        : Array.Empty<WorkStep>(),
                    Step(
                        "date",
                        StepKind.Note,
                        months is null
                            ? CareStationWords.NoteYearlyLookAtLoop
                            : CareStationWords.NoteRepasteDateMonthsAndYearly(months),
                        "Date noted",
                        months is null
                            ? CareStationWords.NoFaceTookPaste
                            : CareStationWords.EarlierIfMeasuredResistanceDrifts
                    ),
                    Step(
                        "hand-over",
                        StepKind.HandOver,
                        CareStationWords.HandOverBuildRecordAndSign,
                        "Sign the traveller",
                        null
                    ),
                ]
            )
        )
        {
            Kept = kept,
        };
    }

    private static WorkStep Step(string target, StepKind kind, Message title, string done, Message? detail) =>
        new()
        {
            Id = new(Station.Care, null, target),
            Kind = kind,
            Title = title,
            Done = done,
            Detail = detail,
        };

    private static Message Used(PadsResult pads, PasteResult paste)
    {
        var laid = pads
            .Pads.Select(p => (p.ThicknessMm, p.Material))
            .Concat(pads.Pieces.Where(p => p.Where is not null).Select(p => (p.ThicknessMm, p.Material)))
            .GroupBy(p => p)
            .Select(g => FormattableString.Invariant($"{g.Count()} × {g.Key.ThicknessMm:0.0#} mm {g.Key.Material}"));
        if (paste.Faces.Count > 0)
            laid = laid.Append(FormattableString.Invariant($"{paste.MassG:0.00} g paste"));
        return $"Used: {string.Join(", ", laid)}.";
    }
}

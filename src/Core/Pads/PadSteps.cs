using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Pads.Cutting;
using FaithfulBracket.Core.Words.Pads;

namespace FaithfulBracket.Core.Pads;

/// <summary>Cut the sheets, then lay each group of pads and count the films.</summary>
internal static class PadSteps
{
    /// <summary>
    /// Films that come off when a piece is laid: the inner one, and the outer one too where that is the way chosen or
    /// where nothing that is lowered closes over it.
    /// </summary>
    private static int FilmsAtLaying(Pair pair, PadPiece piece, Ways ways) =>
        OuterLast(pair, ways) || piece.Where is not null ? 1 : 2;

    /// <summary>Whether the outer films of a block's pads come off when it closes.</summary>
    public static bool OuterLast(Pair pair, Ways ways) =>
        ways.Films == PadFilms.OuterLast && pair.Block.Carriers.Count == 0 && pair.Block.Halves.Count == 0;

    /// <summary>
    /// Whether a piece is laid at Mount, right before its face closes: the face behind a board that is closed in front
    /// first, because a board never lies on pads; and the edge of carriers, which are closed before.
    /// </summary>
    public static bool BeforeClosing(Pair pair, PadPiece piece, Ways ways) =>
        piece.Where is not null
        || piece is { Face: Face.Back, Where: null }
            && (
                pair.Block.Kind == BlockKind.BackPlate
                || pair.Block.BackPlate is not null
                || pair.Block.Halves.Count > 0 && ways.WhoMoves == WhoMoves.Board
            );

    /// <summary>The half of a block that the board is lowered into, where pads go on that and not on the board.</summary>
    public static BlockHalf? Into(Pair pair, PadPiece piece, Ways ways) =>
        piece is { Face: Face.Back, Where: null } && ways.WhoMoves == WhoMoves.Block
            ? pair.Block.Halves.FirstOrDefault(h => h.Face == Face.Back)
            : null;

    /// <summary>The steps in which what closes last behind a board is laid; none where it is laid at Pads.</summary>
    public static IEnumerable<WorkStep> LaidBehind(
        WorkOrder order,
        Pair pair,
        IEnumerable<PadPiece> pieces,
        Ways ways
    ) =>
        Groups(pieces.Where(p => p.Pair == pair.Key && BeforeClosing(pair, p, ways)))
            .Select(g => Lay(order, pair, g, ways))
            .Select(step => step with { Id = step.Id with { Station = Station.Mount }, Once = [step.Id] });

    private static IEnumerable<List<PadPiece>> Groups(IEnumerable<PadPiece> pieces) =>
        pieces.GroupBy(p => (p.Board, p.Kind, p.Face, p.ThicknessMm, p.Material, p.Where)).Select(g => g.ToList());

    /// <summary>The step in which one sheet is cut.</summary>
    /// <param name="sheet">Its number, from 1.</param>
    public static StepId CutStep(int sheet) => new(Station.Pads, null, $"cut-{sheet}");

    public static StationPlan Create(
        WorkOrder order,
        IReadOnlyList<PairPads> pairs,
        IReadOnlyList<PadPiece> pieces,
        CutPlan? cutting,
        Ways ways
    )
    {
        if (pairs.Count == 0)
            return new(Station.Pads, $"waits for a block", true, []);
        if (pieces.Count == 0)
            return new(Station.Pads, Stripping(pairs) ?? (Message)$"no pads", Stripping(pairs) is not null, []);
        List<WorkStep> steps = [.. (cutting?.Sheets ?? []).Select((s, i) => Cut(s, i + 1))];
        foreach (var pair in order.Pairs)
        foreach (var group in Groups(pieces.Where(p => p.Pair == pair.Key && !BeforeClosing(pair, p, ways))))
            steps.Add(Lay(order, pair, group, ways));
        var (summary, trouble) = Summary(pairs, cutting);
        return new(Station.Pads, summary, trouble, steps);
    }

    private static WorkStep Cut(CutSheet sheet, int number)
    {
        List<string> pieces = [.. sheet.Placements.Select(p => p.PieceId)];
        return new()
        {
            Id = CutStep(number),
            Kind = StepKind.Cut,
            Done = PadStepsWords.Cut(HowMany.Count(pieces.Count, "piece")),
            Title = PadStepsWords.CutFrom(
                HowMany.Count(pieces.Count, "piece"),
                Named(sheet.Offcut ? "offcut" : "sheet", sheet.StockId),
                HowMany.Count(sheet.Cuts.Count, "cut")
            ),
            Detail = PadStepsWords.LettersFollowCuttingSheetEdge(sheet.WidthMm, sheet.DepthMm, Letters(pieces)),
            Caution = PadStepsWords.CutAwayFromHand,
            Count = sheet.Cuts.Count,
            Counted = CountOf.Cuts,
            Sheet = number,
            Pieces = pieces,
            Facts = [new($"{sheet.Cuts.Count}", "cuts"), new($"{pieces.Count}", "pieces")],
        };
    }

    /// <summary>What is cut, and its id; an id that says what it is does so once.</summary>
    private static string Named(string kind, string id) =>
        id.StartsWith(kind, StringComparison.OrdinalIgnoreCase) ? id : $"{kind} {id}";

    private static WorkStep Lay(WorkOrder order, Pair pair, List<PadPiece> list, Ways ways)
    {
        var first = list[0];
        var words = first.Where ?? On(list, PartNames.Several);
        var each = FilmsAtLaying(pair, first, ways);
        var films = list.Count * each;
        var one = list.Count == 1;
        var pads = list.Exists(p => p.Parts.Count > 1)
            ? one
                ? "strip"
                : "strips"
            : one
                ? "pad"
                : "pads";
        List<string> ids = [.. list.Select(p => p.Id)];
        var face = first.Face.ToString().ToLowerInvariant();
        return new()
        {
            Id = new(
                Station.Pads,
                order.ScopeOf(pair, first.Board),
                FormattableString
                    .Invariant($"lay-{words.Replace(' ', '-')}-{face}-{first.ThicknessMm:0.0#}-{first.Material}")
                    .ToLowerInvariant()
            ),
            Kind = StepKind.Lay,
            Board = first.Board,
            Pair = pair.Key,
            Done = PadStepsWords.LaidOff(list.Count, HowMany.Count(films, "film")),
            Title = PadStepsWords.Place(
                list.Count,
                pads,
                first.ThicknessMm,
                first.Half is null ? "on" : PadStepsWords.IntoHalfFor,
                one && first.Where is null ? On(list, PartNames.Describe) : words,
                At(order, first),
                Letters(ids)
            ),
            Detail = first.Where is null
                ? (
                    each == 1
                        ? PadStepsWords.PeelInnerFilmOfEach(HowMany.Count(films, "film"))
                        : PadStepsWords.FilmOffBothSidesOfEach(films)
                )
                    + (
                        first.Half is null
                            ? PadStepsWords.PressEachOnChip(Where(ways, first))
                            : PadStepsWords.EachOnLandInHalf
                    )
                : PadStepsWords.InnerFilmOffEachInAll(HowMany.Count(films, "film")),
            Caution = PadStepsWords.FilmLeftOnPadOverheatsChip,
            Face = first.Face,
            Targets = [.. list.SelectMany(p => p.Parts)],
            Count = films,
            Counted = CountOf.Films,
            Pieces = ids,
            Facts =
            [
                new(FormattableString.Invariant($"{first.ThicknessMm:0.0#} mm"), first.Material),
                new($"{list.Count}", "pieces"),
                new($"{films}", "films"),
            ],
        };
    }

    /// <summary>Which board, where there are several, and which face of it.</summary>
    private static string At(WorkOrder order, PadPiece piece) =>
        piece.Face == Face.Front || piece.Where is not null ? order.On(piece.Board)
        : order.Find(piece.Board)?.Board.Kind == BoardKind.MemoryModule ? PadStepsWords.OnBackOfModule(piece.Board)
        : order.Pieces.Count > 1 ? $" behind board {piece.Board}"
        : " behind the board";

    /// <summary>What a group of pieces lies on; a strip over several kinds names each.</summary>
    private static string On(List<PadPiece> list, Func<PartKind, string> name) =>
        string.Join(
            " and ",
            list.SelectMany(p => p.Kinds.Count > 0 ? p.Kinds : [p.Kind]).Distinct().Order().Select(name).Distinct()
        );

    private static string Where(Ways ways, PadPiece piece) =>
        ways.PadsOn switch
        {
            PadsOn.Board => PadStepsWords.OnBoardWherePartShows,
            PadsOn.Block => PadStepsWords.OnBlockInPocket,
            _ => piece.OnBlock ? PadStepsWords.TackySideToBlock : "on the board",
        };

    private static Message? Stripping(IReadOnlyList<PairPads> pairs) =>
        pairs.FirstOrDefault(p => p.Seating is { ScrewsStrip: true }) is not { } pair ? null
        : pairs.Count > 1 ? PadStepsWords.ScrewsOfBlockStrip(pair.Pair)
        : (Message)$"screws strip first";

    private static (Message, bool) Summary(IReadOnlyList<PairPads> pairs, CutPlan? cutting)
    {
        if (Stripping(pairs) is { } strips)
            return (strips, true);
        if (pairs.FirstOrDefault(p => p.Seating is { Floats: true }) is { } floating)
            return (pairs.Count > 1 ? (Message)$"block {floating.Pair} floats" : (Message)$"the block floats", true);
        var pads = pairs.SelectMany(p => p.Pads).ToList();
        if (pads.Find(p => p.Fit is null || p.Fit.State != PadState.Good) is { } bad)
            return (
                $"{bad.ThicknessMm:0.0#} mm {(bad.Fit?.State == PadState.Crushed ? "is crushed" : "barely touches")} at {bad.Letter}",
                true
            );
        if (cutting is { Unplaced.Count: > 0 } cut)
            return ($"{HowMany.Count(cut.Unplaced.Count, "pad lacks", "pads lack")} a sheet", true);
        var sizes = pads.Select(p => p.ThicknessMm)
            .Distinct()
            .Order()
            .Select(t => FormattableString.Invariant($"{t:0.0#}"));
        return ($"{HowMany.Count(pads.Count, "pad")}, {string.Join(" and ", sizes)} mm", false);
    }

    /// <summary>"A to F" for a run, else the letters.</summary>
    private static string Letters(IReadOnlyList<string> letters)
    {
        if (letters.Count < 3)
            return string.Join(" and ", letters);
        var sorted = letters.OrderBy(l => l.Length).ThenBy(l => l).ToList();
        var run = sorted.All(l => l.Length == 1) && sorted[^1][0] - sorted[0][0] == sorted.Count - 1;
        return run ? $"{sorted[0]} to {sorted[^1]}"
            : sorted.Count <= 8 ? string.Join(" ", sorted)
            : $"{string.Join(" ", sorted.Take(7))} and {sorted.Count - 7} more";
    }
}

using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Words.Mount.Mountings;

namespace FaithfulBracket.Core.Mount.Mountings;

/// <content>What goes on behind the board.</content>
internal partial class ScrewedMounting
{
    /// <summary>The block's own back plate, its pads laid right before.</summary>
    private IEnumerable<WorkStep> OwnPlate() =>
        _on.Laid.Block.BackPlate is null ? [] : [.. Laid(), _ways.PlateFirst ? BackPlateUnder() : BackPlate()];

    /// <summary>It lies on the board until the screws that go through it are started.</summary>
    private WorkStep BackPlateUnder() =>
        BackPlate() with
        {
            Title = ScrewedMountingWords.LayBackPlateBeforeAnyScrew(TheBoard),
            Detail =
                BackFilms()
                + (Bridge() is { } bridge ? (Message)$"{bridge} " : Message.Empty)
                + ScrewedMountingWords.ItLiesLooseUntilStarted,
            Done = ScrewedMountingWords.LiesInPlace,
            Count = null,
            Counted = null,
        };

    private WorkStep BackPlate() =>
        new()
        {
            Id = Id("back-plate"),
            Kind = StepKind.BackPlate,
            Board = _on.Board,
            Pair = _pair.Key,
            Done = ScrewedMountingWords.BackPlateOn(HowMany.Count(_held.Count, "screw")),
            Face = Face.Back,
            Title =
                _ways.BackPlateScrews == BackPlateScrews.All
                    ? ScrewedMountingWords.TakeOutAgainSetBackPlate(HowMany.Count(_held.Count, "screw"))
                    : ScrewedMountingWords.SetBackPlateWithPads(HowMany.Count(_held.Count, "screw")),
            Detail = BackFilms() + (Bridge() ?? ScrewedMountingWords.OwnPadsAndWashers),
            Caution = ScrewedMountingWords.BackPlateThatTouchesLead,
            Targets = [.. _held.Select(h => h.Id)],
            Count = _held.Count,
            Counted = CountOf.Screws,
        };

    private Message BackFilms() =>
        OuterFilms(f => f == Face.Back) is var films and > 0
            ? ScrewedMountingWords.PeelOuterFilmOffItsPads(HowMany.Count(films, "pad"))
            : Message.Empty;

    /// <summary>A stock plate that the die ring goes through lies behind the board before the first screw.</summary>
    private WorkStep StockUnder(StockPlate plate) =>
        StockPlate(plate) with
        {
            Title = ScrewedMountingWords.LayOnBackOfHoles(plate.Name, TheBoard),
            Detail = ScrewedMountingWords.BlocksScrewsGo(Pads(plate), plate.UsesHoles.Count),
            Done = ScrewedMountingWords.LiesInPlace,
        };

    private WorkStep StockBehind(StockPlate plate) =>
        StockPlate(plate) with
        {
            Title = ScrewedMountingWords.SetBackWithPads(plate.Name, plate.UsesHoles.Count),
            Detail = ScrewedMountingWords.StockScrewsOfTheseHolesStay(Pads(plate)),
            Done = ScrewedMountingWords.BackPlateOn(HowMany.Count(plate.UsesHoles.Count, "screw")),
            Count = plate.UsesHoles.Count,
            Counted = CountOf.Screws,
        };

    private static string StockTarget(StockPlate plate) => $"stock-plate-{plate.Piece}";

    private WorkStep StockPlate(StockPlate plate) =>
        new()
        {
            Id = Id(StockTarget(plate)),
            Kind = StepKind.BackPlate,
            Board = _on.Board,
            Pair = _pair.Key,
            Title = Message.Quote(plate.Name),
            Done = "On",
            Face = Face.Back,
            Caution = ScrewedMountingWords.BackPlateThatTouchesLead,
            Targets = [.. plate.UsesHoles, .. plate.Pads],
        };

    private string Pads(StockPlate plate) =>
        plate.Pads.Count == 0 ? "It has no pads."
        : _ways.StockPads == StockPads.Reuse
            ? plate.Pads.Count == 1 ? ScrewedMountingWords.StockPadStays
                : ScrewedMountingWords.StockPadsStay(plate.Pads.Count)
        : ScrewedMountingWords.NewPadsWhereOldOnesTore(plate.Pads.Count);

    /// <summary>Paste where the back plate meets the front block.</summary>
    private Message? Bridge() =>
        _on.Laid.Block.BackPlate?.PasteBridge is { } area
            ? ScrewedMountingWords.PasteFirstWhereItMeetsBlock(area.Area / 100)
            : null;
}

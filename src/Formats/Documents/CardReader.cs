using FaithfulBracket.Core;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Formats.Words.Documents;

namespace FaithfulBracket.Formats.Documents;

/// <summary>Reads a card document, version 1: several boards in one card.</summary>
public static class CardReader
{
    public const string Format = "faithful-bracket/card";

    private const int MaxBoards = 8;

    /// <exception cref="MalformedJsonException">No JSON.</exception>
    /// <exception cref="InputException">Every broken rule with its place.</exception>
    public static Card Read(ReadOnlyMemory<byte> utf8)
    {
        using var json = JsonInput.Parse(utf8);
        var faults = new List<InputFault>();
        var card = Read(new ObjectReader(json.RootElement, "", faults));
        return faults.Count > 0 ? throw new InputException(faults) : card;
    }

    /// <summary>Reads from an open object and adds faults to it; the result is only good when there are none.</summary>
    public static Card Read(ObjectReader o)
    {
        DocumentRules.Head(o, Format);
        var boards = o.Objects("boards", Entry);
        var card = new Card
        {
            Id = DocumentRules.Id(o),
            Maker = o.Text("maker"),
            Model = o.Text("model"),
            BoardCode = o.Text("boardCode"),
            Revision = o.Text("revision"),
            Kind = o.Choice<BoardKind>("kind"),
            Boards = boards,
            Ribbons = o.Objects("ribbons", Ribbon),
            Assembly = o.OptionalObject("assembly") is { } a
                ? AssemblyReader.Read(a, [.. boards.Select(b => b.Key)])
                : null,
        };
        o.End();
        if (card.Boards.Count is < 1 or > MaxBoards)
            o.Fault("boards", CardReaderWords.ExpectedToBoardsFound(MaxBoards, card.Boards.Count));
        DocumentRules.Unique(o, "boards", card.Boards.Select(b => b.Key));
        DocumentRules.Unique(o, "ribbons", card.Ribbons.Select(r => r.Id));
        if (card.Boards.Count > 0 && card.Boards[0].Pose is not null)
            o.FaultAt("boards/0/pose", CardReaderWords.FirstBoardIsFrame);
        for (var i = 1; i < card.Boards.Count; i++)
            if (card.Boards[i].Pose is null)
                o.FaultAt($"boards/{i}/pose", CardReaderWords.MissingSayHowThisBoardSits);
        var keys = card.Boards.Select(b => b.Key).ToHashSet();
        for (var i = 0; i < card.Ribbons.Count; i++)
            foreach (var (end, name) in new[] { (card.Ribbons[i].From, "from"), (card.Ribbons[i].To, "to") })
                if (!keys.Contains(end.Board))
                    o.FaultAt($"ribbons/{i}/{name}/board", CardReaderWords.IsNotBoardOfThisCard(end.Board));
        foreach (var (piece, i) in (card.Assembly?.Pieces ?? []).Select((p, i) => (p, i)))
            if (piece.Board is { } b && !keys.Contains(b))
                o.FaultAt($"assembly/pieces/{i}/board", CardReaderWords.IsNotBoardOfThisCard(b));
        return card;
    }

    private static CardBoard Entry(ObjectReader o) =>
        new(
            DocumentRules.Key(o),
            BoardReader.Read(o.Object("board")),
            o.OptionalObject("pose") is { } p ? Pose(p) : null
        );

    /// <summary>How a board sits to the first.</summary>
    public static BoardPose Pose(ObjectReader o)
    {
        var pose = new BoardPose(
            o.Flag("flipped", false),
            o.Number("xMm", -2000, 2000, otherwise: 0),
            o.Number("yMm", -2000, 2000, otherwise: 0),
            o.Number("spacingMm", 0, 500),
            o.Number("spacingTolMm", 0, 50, otherwise: 0)
        );
        o.End();
        return pose;
    }

    private static Ribbon Ribbon(ObjectReader o) =>
        new(
            DocumentRules.Id(o),
            o.OptionalText("name") ?? "ribbon",
            End(o.Object("from")),
            End(o.Object("to")),
            o.Number("widthMm", 0.1, 500),
            o.OptionalNumber("slackMm", 0, 2000)
        );

    private static RibbonEnd End(ObjectReader o)
    {
        var end = new RibbonEnd(o.Text("board"), o.Number("x"), o.Number("y"));
        o.End();
        return end;
    }
}

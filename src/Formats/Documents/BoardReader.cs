using System.Text.Json;
using FaithfulBracket.Core;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Formats.Words.Documents;

namespace FaithfulBracket.Formats.Documents;

/// <summary>Reads a board document, version 1.</summary>
public static class BoardReader
{
    public const string Format = "faithful-bracket/board";

    /// <exception cref="MalformedJsonException">No JSON.</exception>
    /// <exception cref="InputException">Every broken rule with its place.</exception>
    public static Board Read(ReadOnlyMemory<byte> utf8)
    {
        using var json = JsonInput.Parse(utf8);
        var faults = new List<InputFault>();
        var board = Read(new ObjectReader(json.RootElement, "", faults));
        return faults.Count > 0 ? throw new InputException(faults) : board;
    }

    /// <summary>Reads from an open object and adds faults to it; the result is only good when there are none.</summary>
    public static Board Read(ObjectReader o)
    {
        DocumentRules.Head(o, Format);
        var board = new Board
        {
            Id = DocumentRules.Id(o),
            Maker = o.Text("maker"),
            Model = o.Text("model"),
            BoardCode = o.Text("boardCode"),
            Revision = o.Text("revision"),
            Kind = o.Choice<BoardKind>("kind"),
            Outline = o.Polygon("outline"),
            ThicknessMm = o.Number("thicknessMm", 0.2, 10),
            Slots = o.OptionalInteger("slots", 0, 10),
            Socket = o.OptionalText("socket"),
            Price = o.OptionalObject("price") is { } price ? BlockReader.Price(price) : null,
            UsableWithoutBlock = o.Flag("usableWithoutBlock", true),
            Headers = o.Objects("headers", h => new Header(DocumentRules.Id(h), h.Text("kind"))),
            PositionSigmaMm = o.Number("positionSigmaMm", 0, 10, otherwise: 0),
            Holes = o.Objects("holes", Hole),
            Parts = o.Objects("parts", Part),
            Assembly = o.OptionalObject("assembly") is { } a ? AssemblyReader.Read(a) : null,
            Evidence = o.OptionalChoice<EvidenceGrade>("evidence"),
        };
        o.End();
        DocumentRules.BoardSize(o, board.Outline);
        DocumentRules.Unique(o, "holes", board.Holes.Select(h => h.Id));
        DocumentRules.Unique(o, "parts", board.Parts.Select(p => p.Id));
        for (var i = 0; i < board.Parts.Count; i++)
            if (board.Parts[i].Under is { } lid && board.FindPart(lid) is null)
                o.FaultAt($"parts/{i}/under", BoardReaderWords.IsNotPartOfThisBoard(lid));
        return board;
    }

    private static BoardHole Hole(ObjectReader o) =>
        new(
            DocumentRules.Id(o),
            o.Number("x"),
            o.Number("y"),
            o.Number("diameterMm", 0.1, 50),
            o.OptionalChoice<HoleRole>("role") ?? HoleRole.Perimeter,
            o.Number("slotMm", 0, 50, otherwise: 0),
            o.Number("slotDeg", -360, 360, otherwise: 0)
        );

    /// <summary>Null where none is stated, or where the part is said to have none.</summary>
    private static Substrate? Substrate(ObjectReader o)
    {
        if (!o.Has("substrate"))
            return null;
        var s = o.Object("substrate");
        var substrate = new Substrate(
            s.Number("widthMm", 0.05, 700),
            s.Number("depthMm", 0.05, 700),
            s.Number("thicknessMm", 0.05, 20),
            s.Number("eMPa", 100, 1e6, otherwise: Core.Boards.Substrate.DieEMPa),
            s.Number("joined", 0, 1, otherwise: Core.Boards.Substrate.UsualJoined)
        );
        s.End();
        return substrate;
    }

    private static Part Part(ObjectReader o)
    {
        var kind = o.Choice<PartKind>("kind");
        return new()
        {
            Id = DocumentRules.Id(o),
            Kind = kind,
            Face = o.OptionalChoice<Face>("face") ?? Face.Front,
            X = o.Number("x"),
            Y = o.Number("y"),
            WidthMm = o.Number("widthMm", 0.05, 700),
            DepthMm = o.Number("depthMm", 0.05, 700),
            RotationDeg = o.Number("rotationDeg", -360, 360, otherwise: 0),
            HeightMm =
                kind == PartKind.Empty || o.IsNull("heightMm")
                    ? o.Number("heightMm", 0, 200, otherwise: 0)
                    : o.Number("heightMm", 0, 200),
            HeightUnknown = kind != PartKind.Empty && o.IsNull("heightMm"),
            HeightTolMm = o.Number("heightTolMm", 0, 10, otherwise: 0),
            Evidence = o.OptionalChoice<FigureGrade>("evidence"),
            StatedCool = o.OptionalChoice<Cooling>("cool"),
            DissipationW = o.Number("dissipationW", 0, 5000, otherwise: 0),
            LimitC = o.OptionalNumber("limitC", -50, 300),
            MaxLoadN = o.OptionalNumber("maxLoadN", 0.1, 100_000),
            MaxPressureMPa = o.OptionalNumber("maxPressureMPa", 0.001, 1000),
            Outline = o.OptionalPolygon("outline"),
            Under = o.OptionalText("under"),
            LidThicknessMm = o.OptionalNumber("lidThicknessMm", 0, 20),
            BondMm = o.OptionalNumber("bondMm", 0, 5),
            PowerShare = o.OptionalNumber("powerShare", 0, 1),
            Substrate = Substrate(o),
            NoSubstrate = o.IsNull("substrate"),
            PackageOutline = o.OptionalPolygon("packageOutline"),
            LidKWPerMK = o.OptionalNumber("lidKWPerMK", 0.1, 5000),
            BondKWPerMK = o.OptionalNumber("bondKWPerMK", 0.1, 5000),
        };
    }
}

using System.Text.Json;
using FaithfulBracket.Core;
using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Formats.Words.Documents;

namespace FaithfulBracket.Formats.Documents;

/// <summary>Reads a block document, version 1.</summary>
public static class BlockReader
{
    public const string Format = "faithful-bracket/block";

    private const int MaxCarriers = 8,
        MaxBolts = 40,
        MaxHalves = 4;

    /// <summary>Parts of special kinds that are kept as they are.</summary>
    private static readonly string[] Kept = ["bodies"];

    /// <exception cref="MalformedJsonException">No JSON.</exception>
    /// <exception cref="InputException">Every broken rule with its place.</exception>
    public static Block Read(ReadOnlyMemory<byte> utf8)
    {
        using var json = JsonInput.Parse(utf8);
        var faults = new List<InputFault>();
        var block = Read(new ObjectReader(json.RootElement, "", faults));
        return faults.Count > 0 ? throw new InputException(faults) : block;
    }

    /// <summary>Reads from an open object and adds faults to it; the result is only good when there are none.</summary>
    public static Block Read(ObjectReader o)
    {
        DocumentRules.Head(o, Format);
        foreach (var kept in Kept)
            o.Raw(kept);
        var rotations = o.Numbers("rotations", -360, 360);
        var block = new Block
        {
            Id = DocumentRules.Id(o),
            Maker = o.Text("maker"),
            Model = o.Text("model"),
            Kind = o.Choice<BlockKind>("kind"),
            ManualRevision = o.OptionalText("manualRevision"),
            DeclaredFor = o.Objects(
                "declaredFor",
                d => new Declaration(d.Text("maker"), d.Text("boardCode"), d.Texts("revisions"))
            ),
            Sockets = o.Objects(
                "sockets",
                s => new SocketFit(
                    s.Text("socket"),
                    s.OptionalText("kit"),
                    s.OptionalText("posts"),
                    s.OptionalText("jetPlate"),
                    s.OptionalText("insert"),
                    s.OptionalNumber("insertBowMm", -2, 2),
                    s.OptionalNumber("stopHeightMm", 0, 100)
                )
                {
                    JetPlateMm = s.OptionalNumber("jetPlateMm", 0.05, 20),
                    DesignHeightMm = s.OptionalNumber("designHeightMm", 0, 100),
                    SeatMm = s.OptionalNumber("seatMm", -20, 100),
                    FrameN = s.OptionalNumber("frameN", 0, 10_000),
                    FrameNm = s.OptionalNumber("frameNm", 0, 20),
                    BestRotationDeg = s.OptionalNumber("bestRotationDeg", -360, 360),
                }
            ),
            Rotations = rotations.Count == 0 ? [0] : rotations,
            ColdPlate = o.OptionalObject("coldPlate") is { } c ? ColdPlate(c) : null,
            Plates = o.Objects("plates", Plate),
            BackPlate = o.OptionalObject("backPlate") is { } b ? BackPlate(b) : null,
            Ports = o.Objects(
                "ports",
                p => new Port(
                    DocumentRules.Id(p),
                    p.OptionalText("thread") ?? "G1/4",
                    p.Number("x"),
                    p.Number("y"),
                    p.OptionalText("facing"),
                    p.OptionalText("role")
                )
                {
                    ZMm = p.OptionalNumber("zMm", -100, 500),
                }
            ),
            BracketSlots = o.OptionalInteger("bracketSlots", 0, 10),
            HeightMm = o.OptionalNumber("heightMm", 0, 500),
            MassG = o.OptionalNumber("massG", 0, 20_000),
            Headers = o.Texts("headers"),
            Kit = o.OptionalObject("kit") is { } k ? Kit(k) : null,
            Flow = o.OptionalObject("flow") is { } f ? Flow(f) : null,
            Price = o.OptionalObject("price") is { } p ? Price(p) : null,
            GuardHeightMm = o.OptionalNumber("guardHeightMm", 0, 100),
            Joins = o.Objects("joins", Join),
            Carriers = o.Objects("carriers", Carrier),
            Halves = o.Objects(
                "halves",
                h => new BlockHalf(
                    DocumentRules.Id(h),
                    h.Choice<Face>("face"),
                    h.Text("plate"),
                    h.Flag("opensBefore", false),
                    h.Texts("dropParts")
                )
            ),
            Gasket = o.Raw("gasket") is { ValueKind: not (JsonValueKind.False or JsonValueKind.Null) },
        };
        if (!o.Has("plates") && block.Kind != BlockKind.BackPlate && block.Carriers.Count == 0)
            o.Fault("plates", BlockReaderWords.MissingExpectedAtLeastOnePlate);
        o.End();
        if (block.Carriers.Count > 0 && block.Kind != BlockKind.Memory)
            o.Fault("carriers", BlockReaderWords.OnlyBlockOfKindMemory);
        if (block.Halves.Count > 0 && block.Kind != BlockKind.TwoHalf)
            o.Fault("halves", BlockReaderWords.OnlyBlockOfKindTwoHalf);
        if (block.Carriers.Count > MaxCarriers)
            o.Fault("carriers", BlockReaderWords.ExpectedAtMostFound(MaxCarriers, block.Carriers.Count));
        if (block.Halves.Count > MaxHalves)
            o.Fault("halves", BlockReaderWords.ExpectedAtMostFound(MaxHalves, block.Halves.Count));
        DocumentRules.Unique(o, "carriers", block.Carriers.Select(c => c.Id));
        DocumentRules.Unique(o, "halves", block.Halves.Select(h => h.Id));
        for (var i = 0; i < block.Halves.Count; i++)
            if (!block.Plates.Any(p => p.Id == block.Halves[i].Plate))
                o.FaultAt($"halves/{i}/plate", BlockReaderWords.IsNotPlateOfThisBlock(block.Halves[i].Plate));
        DocumentRules.Unique(o, "plates", block.Plates.Select(p => p.Id));
        DocumentRules.Unique(o, "plates", block.Plates.SelectMany(p => p.Holes).Select(h => h.Id));
        for (var i = 0; i < block.Joins.Count; i++)
            if (!block.Ports.Any(p => p.Id == block.Joins[i].Port))
                o.FaultAt($"joins/{i}/port", BlockReaderWords.IsNotPortOfThisBlock(block.Joins[i].Port));
        return block;
    }

    private static Carrier Carrier(ObjectReader o)
    {
        var carrier = new Carrier(
            DocumentRules.Id(o),
            o.Choice<Face>("face"),
            o.Polygon("outline"),
            Bolts(o),
            o.Number("padMm", 0.05, 20),
            o.OptionalNumber("topPadMm", 0.05, 20),
            o.OptionalNumber("topPadWidthMm", 0.5, 50)
        );
        if (carrier.TopPadMm is null != carrier.TopPadWidthMm is null)
            o.Fault("topPadMm", BlockReaderWords.TopPadNeedsBothThickness);
        if (carrier.BoltHoles.Count > MaxBolts)
            o.Fault("boltHoles", BlockReaderWords.ExpectedAtMostFound(MaxBolts, carrier.BoltHoles.Count));
        DocumentRules.Unique(o, "boltHoles", carrier.BoltHoles.Select(b => b.Id));
        return carrier;
    }

    /// <summary>Bolt holes as objects, or plainly as places.</summary>
    private static List<CarrierBolt> Bolts(ObjectReader o)
    {
        if (
            o.Raw("boltHoles") is { ValueKind: JsonValueKind.Array } list
            && list.GetArrayLength() > 0
            && list[0].ValueKind == JsonValueKind.Array
        )
            return [.. o.Points("boltHoles").Select((p, i) => new CarrierBolt($"T{i + 1}", p.X, p.Y))];
        return o.Objects(
            "boltHoles",
            b => new CarrierBolt(
                DocumentRules.Id(b),
                b.Number("x"),
                b.OptionalNumber("y") ?? 0,
                b.OptionalNumber("diameterMm", 0.5, 20) ?? CarrierBolt.PlainMm,
                b.OptionalText("thread", 20) ?? CarrierBolt.PlainThread
            )
        );
    }

    private static Join Join(ObjectReader o)
    {
        var to = o.Object("to");
        var end = new JoinEnd(to.Text("block"), to.Text("port"));
        to.End();
        return new(
            DocumentRules.Id(o),
            o.Text("port"),
            end,
            o.Number("lengthMm", 0, 2000),
            o.Number("tolMm", 0, 100, otherwise: 0)
        )
        {
            Kind = o.OptionalChoice<JoinKind>("kind"),
        };
    }

    private static ColdPlate ColdPlate(ObjectReader o)
    {
        var plate = new ColdPlate(
            o.Text("metal"),
            o.OptionalNumber("baseMm", 0, 50),
            o.OptionalNumber("finDirectionDeg", -360, 360),
            o.OptionalNumber("slitDirectionDeg", -360, 360)
        )
        {
            FinArea = o.OptionalPolygon("finArea"),
            FlowArea = o.OptionalPolygon("flowArea"),
            KWPerMK = o.OptionalNumber("kWPerMK", 0.1, 5000),
        };
        o.End();
        return plate;
    }

    private static Plate Plate(ObjectReader o)
    {
        var plate = new Plate
        {
            Id = DocumentRules.Id(o),
            Board = o.OptionalText("board"),
            Face = o.OptionalChoice<Face>("face") ?? Face.Front,
            Seat = o.OptionalChoice<Seat>("seat") ?? Seat.Die,
            StandoffMm = o.OptionalNumber("standoffMm", 0, 100),
            StandoffTolMm = o.Number("standoffTolMm", 0, 10, otherwise: 0),
            CoreMm = o.OptionalNumber("coreMm", 0, 500),
            Outline = o.Polygon("outline"),
            BaseStepMm = o.Number("baseStepMm", -100, 100, otherwise: 0),
            Lands = o.Objects("lands", Land),
            Pockets = o.Objects("pockets", p => new Pocket(p.Polygon("outline"), p.Number("stepMm", -100, 200))),
            Holes = o.Objects("holes", Hole),
        };
        if (plate.Seat == Seat.Standoff && plate.StandoffMm is null)
            o.Fault("standoffMm", BlockReaderWords.MissingPlateThatStandsOnStandoffs);
        DocumentRules.Unique(o, "lands", plate.Lands.Select(l => l.Id));
        return plate;
    }

    private static Land Land(ObjectReader o)
    {
        var land = new Land
        {
            Id = DocumentRules.Id(o),
            Outline = o.Polygon("outline"),
            StepMm = o.Number("stepMm", -100, 100, otherwise: 0),
            StepTolMm = o.Number("stepTolMm", 0, 10, otherwise: 0),
            For = o.OptionalChoice<PartKind>("for"),
            Part = o.OptionalText("part"),
            Through = o.Choice<Through>("through"),
            PadMm = o.OptionalNumber("padMm", 0.05, 20),
            Metal = o.OptionalText("metal"),
            Evidence = o.OptionalChoice<FigureGrade>("evidence"),
        };
        if (land.For is null && land.Part is null)
            o.Fault("for", BlockReaderWords.MissingSayWhichKindOfPart);
        return land;
    }

    private static BlockHole Hole(ObjectReader o) =>
        new()
        {
            Id = DocumentRules.Id(o),
            X = o.Number("x"),
            Y = o.Number("y"),
            ScrewMm = o.Number("screwMm", 0.5, 20),
            Thread = o.OptionalText("thread", 20),
            Role = o.OptionalChoice<HoleRole>("role") ?? HoleRole.Perimeter,
            Ring = o.OptionalInteger("ring", 0, 100),
            Required = o.Flag("required", true),
            EngageMm = o.OptionalNumber("engageMm", 0, 100),
            StopMm = o.OptionalNumber("stopMm", -50, 100),
            Washer = o.OptionalText("washer"),
            Spring = o.OptionalObject("spring") is { } s ? Spring(s) : null,
            SpringUnknown = o.Flag("springUnknown", false) && !o.Has("spring"),
            TargetNm = o.OptionalNumber("targetNm", 0, 20),
            Finish = o.OptionalText("finish"),
            Evidence = o.OptionalChoice<FigureGrade>("evidence"),
            Sockets = o.Texts("sockets"),
        };

    private static Spring Spring(ObjectReader o)
    {
        var spring = new Spring(o.Number("rateNPerMm", 0.01, 10_000), o.Number("travelMm", -50, 100));
        o.End();
        return spring;
    }

    private static BackPlate BackPlate(ObjectReader o)
    {
        var plate = new BackPlate
        {
            Id = DocumentRules.Id(o),
            UsesHoles = o.Texts("usesHoles"),
            StiffnessFactor = o.Number("stiffnessFactor", 0.01, 1000, otherwise: 1),
            ThicknessMm = o.OptionalNumber("thicknessMm", 0.1, 50),
            EMPa = o.Number("eMPa", 100, 1e6, otherwise: Core.Blocks.BackPlate.AluminiumMPa),
            Lands = o.Objects("lands", Land),
            StandoffMm = o.OptionalNumber("standoffMm", 0, 100),
            StandoffTolMm = o.Number("standoffTolMm", 0, 10, otherwise: 0),
            PasteBridge = o.OptionalPolygon("pasteBridge"),
        };
        o.End();
        return plate;
    }

    private static KitContents Kit(ObjectReader o)
    {
        var kit = new KitContents
        {
            Screws = o.Objects(
                "screws",
                s => new KitScrew(
                    s.Text("thread"),
                    s.OptionalNumber("lengthMm", 0.5, 200),
                    s.Integer("count", 0, 1000),
                    s.OptionalText("driver", 20),
                    s.OptionalText("washer")
                )
            ),
            Pads = o.Objects(
                "pads",
                p => new KitPad(
                    p.Number("thicknessMm", 0.05, 20),
                    p.Number("widthMm", 1, 1000),
                    p.Number("depthMm", 1, 1000),
                    p.Integer("count", 0, 1000),
                    p.Text("material"),
                    p.OptionalText("tacky")
                )
            ),
            PasteG = o.Number("pasteG", 0, 1000, otherwise: 0),
            Plugs = o.OptionalInteger("plugs", 0, 100) ?? 0,
            Keys = o.Texts("keys"),
            Sinks = o.Objects(
                "sinks",
                s => new KitSink(
                    s.Number("widthMm", 1, 500),
                    s.Number("depthMm", 1, 500),
                    s.Number("heightMm", 0.5, 500),
                    s.Number("rKPerW", 0.001, 1000),
                    s.Integer("count", 0, 1000)
                )
            ),
        };
        o.End();
        return kit;
    }

    private static FlowCurve Flow(ObjectReader o)
    {
        var flow = new FlowCurve(
            o.Number("aKPerW", 0, 100),
            o.Number("bKPerW", 0, 100),
            o.Number("n", 0, 10),
            o.OptionalText("unit") ?? "L/min",
            o.Points("dropKPaAt", 0)
        );
        o.End();
        return flow;
    }

    internal static Money Price(ObjectReader o)
    {
        var price = new Money(o.Number("amount", 0, 1e6), o.Text("currency", 3));
        o.End();
        return price;
    }
}

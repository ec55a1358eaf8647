using FaithfulBracket.Core;
using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Pads.Seating;
using FaithfulBracket.Formats.Documents;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Server.Shop;
using FaithfulBracket.Server.Words.Http;

namespace FaithfulBracket.Server.Http;

/// <summary>A block on a board with what lies between, as most computing calls send it.</summary>
internal sealed record StackInput(
    Board Board,
    Block Block,
    IReadOnlyList<LaidPad> Pads,
    IReadOnlyDictionary<string, PadMaterial> Materials,
    PasteMaterial Paste
)
{
    /// <exception cref="InputException">The block cannot be laid on the board.</exception>
    public StackUp Laid() => new(LaidBlock.Create(Board, Block), Pads, Materials, Paste);
}

/// <summary>Fields that several computing calls share.</summary>
internal static class ComputeInputs
{
    public static Board Board(ObjectReader o) => BoardReader.Read(o.Object("board"));

    public static Block Block(ObjectReader o) => BlockReader.Read(o.Object("block"));

    public static StackInput Stack(ObjectReader o, LibraryCache shop) =>
        new(Board(o), Block(o), Pads(o), Materials(o, shop), Paste(o, shop));

    /// <summary>
    /// Materials given inline; names that are not among them are looked up, the documented defaults first.
    /// </summary>
    public static IReadOnlyDictionary<string, PadMaterial> Materials(ObjectReader o, LibraryCache shop)
    {
        var given = new Dictionary<string, PadMaterial>();
        foreach (var m in o.Objects("materials", Material))
            given[m.Id] = m;
        return new MaterialDictionary(given, id => shop.Drawer.Materials.FirstOrDefault(m => m.Id == id));
    }

    public static PadMaterial Material(ObjectReader o)
    {
        var material = new PadMaterial(
            o.Text("id"),
            o.Points("curve", 0, 1000),
            o.Number("squashMin", 0, 1),
            o.Number("squashMax", 0, 1),
            o.Number("thicknessTolMm", 0, 2, otherwise: 0)
        )
        {
            ConductivityWPerMK = o.OptionalNumber("conductivityWPerMK", 0.01, 1000),
            ContactMm2KPerW = o.OptionalNumber("contactMm2KPerW", 0, 1000),
            ClaimedWPerMK = o.OptionalNumber("claimedWPerMK", 0.01, 1000),
            FreshCurve = o.Has("freshCurve") ? o.Points("freshCurve", 0, 1000) : null,
        };
        Rising(o, "curve", material.Curve);
        if (material.FreshCurve is { } fresh)
            Rising(o, "freshCurve", fresh);
        if (material.SquashMax <= material.SquashMin)
            o.Fault("squashMax", ComputeInputsWords.ExpectedMoreThanSquashMin);
        return material;
    }

    private static void Rising(ObjectReader o, string field, IReadOnlyList<Core.Geometry.Point2> c)
    {
        if (c.Count == 0 || c.Count == 1 && c[0].X <= 0)
            o.Fault(field, ComputeInputsWords.ExpectedAtLeastOnePointSquash);
        for (var i = 1; i < c.Count; i++)
            if (c[i].X <= c[i - 1].X || c[i].Y < c[i - 1].Y)
            {
                o.Fault($"{field}/{i}", ComputeInputsWords.SquashHasToRiseAndStress);
                break;
            }
    }

    /// <summary>Paste given inline or by id.</summary>
    public static PasteMaterial Paste(ObjectReader o, LibraryCache shop)
    {
        var p = o.Object("paste");
        var id = p.OptionalText("id");
        PasteMaterial paste;
        if (id is not null && !p.Has("yieldPa"))
        {
            var known =
                DefaultMaterials.Pastes.GetValueOrDefault(id)
                ?? shop.Drawer.Pastes.FirstOrDefault(x => x.Material.Id == id || x.Id == id)?.Material;
            if (known is null)
                p.Fault("id", ComputeInputsWords.PasteIsNotKnown(id));
            paste = known ?? new(id, 100, 100, 2.5);
        }
        else
            paste = PasteValues(p, id);
        p.End();
        return paste;
    }

    public static PasteMaterial PasteValues(ObjectReader p, string? id) =>
        new(
            id,
            p.Number("yieldPa", 1e-3, 1e6),
            p.Number("viscosityPaS", 1e-3, 1e6, otherwise: 100),
            p.Number("densityGPerMl", 0.1, 30, otherwise: 2.5),
            p.Number("cUm", 0.01, 10_000, PasteMaterial.DefaultCUm),
            p.Number("m", 0.01, 0.9, PasteMaterial.DefaultM),
            p.Number("conductivityWPerMK", 0.01, 1000, otherwise: 4)
        )
        {
            LiquidMetal = p.Flag("liquidMetal", false),
        };

    public static List<LaidPad> Pads(ObjectReader o) =>
        o.Objects("pads", p => new LaidPad(p.Text("part"), p.Number("thicknessMm", 0.05, 20), p.Text("material")));

    /// <summary>Reads two documents and more, then computes only if all were good.</summary>
    public static T Whole<T>(List<InputFault> faults, Func<T> compute) =>
        faults.Count > 0 ? throw new InputException(faults) : compute();
}

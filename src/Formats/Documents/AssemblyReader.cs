using FaithfulBracket.Core.Boards;
using FaithfulBracket.Formats.Json;

namespace FaithfulBracket.Formats.Documents;

/// <summary>Reads the stock assembly of a board document.</summary>
public static class AssemblyReader
{
    public static Assembly Read(ObjectReader o)
    {
        var assembly = new Assembly
        {
            Pieces = o.Objects(
                "pieces",
                p => new Piece(
                    p.Text("id"),
                    p.OptionalText("name") ?? p.Text("id"),
                    p.OptionalChoice<Face>("face") ?? Face.Front
                )
            ),
            Fasteners = o.Objects("fasteners", Fasteners),
            Leads = o.Objects(
                "leads",
                l => new Lead(
                    l.Text("id"),
                    l.OptionalText("name") ?? l.Text("id"),
                    l.Texts("between"),
                    l.OptionalText("latch") ?? "straight",
                    l.OptionalNumber("slackMm", 0, 2000),
                    l.OptionalChoice<Face>("face") ?? Face.Front,
                    l.OptionalText("hiddenBy")
                )
                {
                    At = l.OptionalPoint("at"),
                }
            ),
            Bonds = o.Objects(
                "bonds",
                b => new Bond(
                    b.Text("id"),
                    b.Texts("between"),
                    b.Choice<BondKind>("kind"),
                    b.OptionalNumber("padMm", 0.05, 20),
                    b.Texts("parts"),
                    b.Flag("warm", false)
                )
            ),
            After = [.. o.TextPairs("after").Select(p => new Precedence(p.First, p.Second))],
        };
        o.End();
        DocumentRules.Unique(
            o,
            "",
            assembly
                .Pieces.Select(p => p.Id)
                .Concat(assembly.Fasteners.Select(f => f.Id))
                .Concat(assembly.Leads.Select(l => l.Id))
        );
        var pieces = assembly.Pieces.Select(p => p.Id).Append(Assembly.BoardId).ToHashSet();
        for (var i = 0; i < assembly.Fasteners.Count; i++)
            foreach (var j in assembly.Fasteners[i].Joins.Where(j => !pieces.Contains(j)))
                o.Fault($"fasteners/{i}/joins", $"\"{j}\" is no piece of this assembly.");
        for (var i = 0; i < assembly.Leads.Count; i++)
            foreach (var j in assembly.Leads[i].Between.Where(j => !pieces.Contains(j)))
                o.Fault($"leads/{i}/between", $"\"{j}\" is no piece of this assembly.");
        return assembly;
    }

    private static FastenerGroup Fasteners(ObjectReader o) =>
        new()
        {
            Id = o.Text("id"),
            Driver = o.Text("driver", 20),
            Thread = o.OptionalText("thread", 20),
            LengthMm = o.OptionalNumber("lengthMm", 0.5, 100),
            Count = o.Integer("count", 1, 500),
            Places = o.Points("places"),
            Holes = o.Texts("holes"),
            Face = o.OptionalChoice<Face>("face") ?? Face.Front,
            Joins = o.Texts("joins"),
            HiddenBy = o.OptionalText("hiddenBy"),
            Ring = o.OptionalText("ring"),
            SpringLoaded = o.Flag("springLoaded", false),
            Seal = o.Flag("seal", false),
        };
}

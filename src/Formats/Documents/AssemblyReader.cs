using FaithfulBracket.Core.Boards;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Formats.Words.Documents;

namespace FaithfulBracket.Formats.Documents;

/// <summary>Reads the stock assembly of a board document.</summary>
public static class AssemblyReader
{
    /// <param name="boards">Keys of the boards of a card, which joins may name instead of "board".</param>
    public static Assembly Read(ObjectReader o, IReadOnlyCollection<string>? boards = null)
    {
        var assembly = new Assembly
        {
            Pieces = o.Objects(
                "pieces",
                p => new Piece(
                    DocumentRules.Id(p),
                    p.OptionalText("name") ?? p.OptionalText("id") ?? "",
                    p.OptionalChoice<Face>("face") ?? Face.Front
                )
                {
                    Returns = p.Flag("returns", false),
                    Stays = p.Flag("stays", false),
                    Carries = p.Has("carries") ? p.Texts("carries") : null,
                    Board = p.OptionalText("board"),
                }
            ),
            Fasteners = o.Objects("fasteners", Fasteners),
            Leads = o.Objects(
                "leads",
                l => new Lead(
                    DocumentRules.Id(l),
                    l.OptionalText("name") ?? l.OptionalText("id") ?? "",
                    l.Texts("between"),
                    l.OptionalText("latch") ?? "straight",
                    l.OptionalNumber("slackMm", 0, 2000),
                    l.OptionalChoice<Face>("face") ?? Face.Front,
                    l.OptionalText("hiddenBy")
                )
                {
                    At = l.OptionalPoint("at"),
                    MovesTo = l.OptionalText("movesTo"),
                    Board = l.OptionalText("board"),
                }
            ),
            Bonds = o.Objects(
                "bonds",
                b => new Bond(
                    DocumentRules.Id(b),
                    b.Texts("between"),
                    b.Choice<BondKind>("kind"),
                    b.OptionalNumber("padMm", 0.05, 20),
                    b.Texts("parts"),
                    b.Flag("warm", false)
                )
                {
                    Metal = b.Flag("metal", false),
                    Board = b.OptionalText("board"),
                }
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
        var keys = boards ?? [];
        var pieces = assembly.Pieces.Select(p => p.Id).Append(Assembly.BoardId).Concat(keys).ToHashSet();
        for (var i = 0; i < assembly.Fasteners.Count; i++)
            foreach (var j in assembly.Fasteners[i].Joins.Where(j => !pieces.Contains(j)))
                o.FaultAt($"fasteners/{i}/joins", AssemblyReaderWords.IsNotPieceOfThisAssembly(j));
        for (var i = 0; i < assembly.Leads.Count; i++)
            foreach (var j in assembly.Leads[i].Between.Where(j => !pieces.Contains(j)))
                o.FaultAt($"leads/{i}/between", AssemblyReaderWords.IsNotPieceOfThisAssembly(j));
        return keys.Count == 0 ? assembly : OnBoards(assembly, keys);
    }

    /// <summary>
    /// A board key among what a screw or lead ties says on which board it is; in the graph every board is "board".
    /// </summary>
    private static Assembly OnBoards(Assembly a, IReadOnlyCollection<string> keys)
    {
        IReadOnlyList<string> Plain(IReadOnlyList<string> ids) =>
            [.. ids.Select(i => keys.Contains(i) ? Assembly.BoardId : i).Distinct()];
        string? BoardOf(string? own, IReadOnlyList<string> ids) =>
            own
            ?? ids.FirstOrDefault(keys.Contains)
            ?? ids.Select(i => a.Pieces.FirstOrDefault(p => p.Id == i)?.Board).FirstOrDefault(b => b is not null);
        return a with
        {
            Fasteners =
            [
                .. a.Fasteners.Select(f => f with { Joins = Plain(f.Joins), Board = BoardOf(f.Board, f.Joins) }),
            ],
            Leads =
            [
                .. a.Leads.Select(l => l with { Between = Plain(l.Between), Board = BoardOf(l.Board, l.Between) }),
            ],
            Bonds =
            [
                .. a.Bonds.Select(b => b with { Between = Plain(b.Between), Board = BoardOf(b.Board, b.Between) }),
            ],
        };
    }

    private static FastenerGroup Fasteners(ObjectReader o) =>
        new()
        {
            Id = DocumentRules.Id(o),
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
            Board = o.OptionalText("board"),
        };
}

using FaithfulBracket.Core.Boards;

namespace FaithfulBracket.Core.Sockets;

/// <summary>What stands on a mainboard and what stands on its processor, as one assembly.</summary>
internal static class BothAssemblies
{
    /// <summary>Put before the ids of what stands on the processor: its groups are named like the board's.</summary>
    private const string Prefix = "U-";

    public static Assembly? Merge(Assembly? board, Assembly? processor)
    {
        if (board is null || processor is null)
            return board ?? processor;
        static string Named(string id) => id == Assembly.BoardId ? id : Prefix + id;
        static IReadOnlyList<string> All(IReadOnlyList<string> ids) => [.. ids.Select(Named)];
        return new()
        {
            Pieces = [.. board.Pieces, .. processor.Pieces.Select(p => p with { Id = Named(p.Id) })],
            Fasteners =
            [
                .. board.Fasteners,
                .. processor.Fasteners.Select(f =>
                    f with
                    {
                        Id = Named(f.Id),
                        Joins = All(f.Joins),
                        HiddenBy = f.HiddenBy is { } h ? Named(h) : null,
                    }
                ),
            ],
            Leads =
            [
                .. board.Leads,
                .. processor.Leads.Select(l =>
                    l with
                    {
                        Id = Named(l.Id),
                        Between = All(l.Between),
                        HiddenBy = l.HiddenBy is { } h ? Named(h) : null,
                    }
                ),
            ],
            Bonds =
            [
                .. board.Bonds,
                .. processor.Bonds.Select(b => b with { Id = Named(b.Id), Between = All(b.Between) }),
            ],
            After = [.. board.After, .. processor.After.Select(a => new Precedence(Named(a.First), Named(a.Second)))],
        };
    }
}

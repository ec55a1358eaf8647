using FaithfulBracket.Core.Boards;

namespace FaithfulBracket.Core.Teardown;

/// <summary>Pieces that never come off, such as a stock back plate that the block is screwed through.</summary>
public static class Staying
{
    /// <summary>The assembly that comes apart: a piece that stays counts as the board, and what holds only such pieces stays in.</summary>
    public static Assembly Without(Assembly assembly)
    {
        var stays = assembly.Pieces.Where(p => p.Stays).Select(p => p.Id).ToHashSet();
        if (stays.Count == 0)
            return assembly;
        IReadOnlyList<string> Plain(IReadOnlyList<string> ids) =>
            [.. ids.Select(i => stays.Contains(i) ? Assembly.BoardId : i).Distinct()];
        static bool Moves(IReadOnlyList<string> ids) => ids.Count == 0 || ids.Any(i => i != Assembly.BoardId);
        var fasteners = assembly
            .Fasteners.Select(f => f with { Joins = Plain(f.Joins) })
            .Where(f => Moves(f.Joins))
            .ToList();
        var leads = assembly
            .Leads.Select(l => l with { Between = Plain(l.Between) })
            .Where(l => l.MovesTo is not null || Moves(l.Between))
            .ToList();
        List<Piece> pieces = [.. assembly.Pieces.Where(p => !p.Stays)];
        var here = pieces
            .Select(p => p.Id)
            .Concat(fasteners.Select(f => f.Id))
            .Concat(leads.Select(l => l.Id))
            .ToHashSet();
        return assembly with
        {
            Pieces = pieces,
            Fasteners = [.. fasteners.Select(f => here.Contains(f.HiddenBy ?? "") ? f : f with { HiddenBy = null })],
            Leads = [.. leads.Select(l => here.Contains(l.HiddenBy ?? "") ? l : l with { HiddenBy = null })],
            Bonds = [.. assembly.Bonds.Select(b => b with { Between = Plain(b.Between) }).Where(b => Moves(b.Between))],
            After = [.. assembly.After.Where(a => here.Contains(a.First) && here.Contains(a.Second))],
        };
    }

    /// <summary>Names of what stays.</summary>
    public static IReadOnlyList<string> Names(Assembly assembly) =>
        [.. assembly.Pieces.Where(p => p.Stays).Select(p => p.Name)];
}

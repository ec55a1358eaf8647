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
        // only what stays in hides nothing any more; a name that leads nowhere is left for whoever checks names
        var gone = stays
            .Concat(assembly.Fasteners.Select(f => f.Id).Except(fasteners.Select(f => f.Id)))
            .Concat(assembly.Leads.Select(l => l.Id).Except(leads.Select(l => l.Id)))
            .ToHashSet();
        string? Cover(string? hiddenBy) => hiddenBy is not null && gone.Contains(hiddenBy) ? null : hiddenBy;
        return assembly with
        {
            Pieces = pieces,
            Fasteners = [.. fasteners.Select(f => f with { HiddenBy = Cover(f.HiddenBy) })],
            Leads = [.. leads.Select(l => l with { HiddenBy = Cover(l.HiddenBy) })],
            Bonds = [.. assembly.Bonds.Select(b => b with { Between = Plain(b.Between) }).Where(b => Moves(b.Between))],
            After = [.. assembly.After.Where(a => !gone.Contains(a.First) && !gone.Contains(a.Second))],
        };
    }

    /// <summary>Names of what stays.</summary>
    public static IReadOnlyList<string> Names(Assembly assembly) =>
        [.. assembly.Pieces.Where(p => p.Stays).Select(p => p.Name)];
}

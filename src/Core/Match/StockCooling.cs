using FaithfulBracket.Core.Boards;

namespace FaithfulBracket.Core.Match;

/// <summary>Parts that a stock piece goes on cooling, because it stays on the board or is fitted again.</summary>
public static class StockCooling
{
    /// <param name="assembly">Of the board or of its card; null where none is described.</param>
    /// <param name="board">Key of the board, where pieces and bonds name one; null for a board's own assembly.</param>
    public static IReadOnlySet<string> Find(Assembly? assembly, string? board = null)
    {
        if (assembly is null)
            return new HashSet<string>();
        var stays = assembly
            .Pieces.Where(p => (p.Stays || p.Returns) && (board is null || p.Board is null || p.Board == board))
            .Select(p => p.Id)
            .ToHashSet();
        return assembly
            .Bonds.Where(b => b.Kind is BondKind.Pads or BondKind.Paste && b.Between.Any(stays.Contains))
            .SelectMany(b => b.Parts)
            .ToHashSet();
    }
}

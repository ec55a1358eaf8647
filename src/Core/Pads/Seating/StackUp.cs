using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Materials;

namespace FaithfulBracket.Core.Pads.Seating;

/// <summary>A laid block with everything between it and its board: what seating, tightening and every what-if calculate from.</summary>
/// <param name="Pads">On both faces; those behind the board count once a back plate carries them.</param>
/// <param name="Materials">Every material the pads name.</param>
public sealed record StackUp(
    LaidBlock Laid,
    IReadOnlyList<LaidPad> Pads,
    IReadOnlyDictionary<string, PadMaterial> Materials,
    PasteMaterial Paste
)
{
    public Board Board => Laid.Board;

    /// <summary>Where strips lie between their parts.</summary>
    public IReadOnlyList<PadBridge> Bridges { get; init; } = [];

    /// <summary>What of a pad's stress a strip still has between two parts, 0 to 1.</summary>
    public double BridgeShare { get; init; } = DefaultBridgeShare;

    /// <summary>Pressed from one side only, a strip gives way: it is held by its own stretch alone.</summary>
    public const double DefaultBridgeShare = 0.2;

    public Block Block => Laid.Block;

    /// <summary>A back plate presses once its own standoffs give it a height.</summary>
    public bool BackPlatePresses => Block.BackPlate?.StandoffMm is not null;

    /// <summary>As it rests when all is on: pads behind the board count where the back plate presses.</summary>
    public StackUp Finished() => BackPlatePresses ? this : FrontOnly();

    /// <summary>As it is while the block is screwed down: the back plate is not on yet, the pads have not relaxed.</summary>
    /// <param name="screwsIn">Whether the screws that will hold the back plate are in already.</param>
    public StackUp WhileMounting(bool screwsIn)
    {
        var fresh = FrontOnly() with { Materials = Materials.ToDictionary(m => m.Key, m => m.Value.WhileMounting()) };
        var held = BehindScrews.Held(Block);
        if (screwsIn || held.Count == 0)
            return fresh;
        var plates = Block.Plates.Select(p => p with { Holes = [.. p.Holes.Where(h => !held.Contains(h.Id))] });
        return fresh with { Laid = Laid with { Block = Block with { Plates = [.. plates] } } };
    }

    private StackUp FrontOnly() => this with { Pads = [.. Pads.Where(p => Board.FindPart(p.Part)?.Face != Face.Back)] };
}

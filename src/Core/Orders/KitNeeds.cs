namespace FaithfulBracket.Core.Orders;

/// <summary>Pad of one thickness and material that an order needs, pieces only.</summary>
public sealed record PadNeed(double ThicknessMm, string Material, double AreaMm2);

/// <summary>What an order needs of what is used up.</summary>
/// <param name="PasteId">The paste it is calculated with; null where none is.</param>
public sealed record KitNeeds(IReadOnlyList<PadNeed> Pads, double PasteG, string? PasteId)
{
    /// <summary>Stick-on sinks that the verdict counts on, out of the blocks' boxes.</summary>
    public IReadOnlyList<SinkNeed> Sinks { get; init; } = [];

    /// <summary>What the loop is filled with, mL; 0 where nothing is filled.</summary>
    public double CoolantMl { get; init; }

    /// <summary>Parts that need a sink and for which no box holds one.</summary>
    public int SinksMissing { get; init; }

    public static readonly KitNeeds Nothing = new([], 0, null);
}

/// <summary>A stick-on sink by its size, mm.</summary>
public sealed record SinkNeed(double WidthMm, double DepthMm, double HeightMm);

namespace FaithfulBracket.Core.Orders;

/// <summary>Pad of one thickness and material that an order needs, pieces only.</summary>
public sealed record PadNeed(double ThicknessMm, string Material, double AreaMm2);

/// <summary>What an order needs of what is used up.</summary>
/// <param name="PasteId">The paste it is reckoned with; null where none is.</param>
public sealed record KitNeeds(IReadOnlyList<PadNeed> Pads, double PasteG, string? PasteId)
{
    public static readonly KitNeeds Nothing = new([], 0, null);
}

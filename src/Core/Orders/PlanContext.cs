using FaithfulBracket.Core.Materials;

namespace FaithfulBracket.Core.Orders;

/// <summary>What every station of one plan is calculated from, made once for the order.</summary>
public sealed record PlanContext
{
    public required WorkOrder Order { get; init; }
    public required ShopSettings Shop { get; init; }
    public required Drawer Drawer { get; init; }

    /// <summary>What was chosen where installers disagree.</summary>
    public required Ways Ways { get; init; }

    /// <summary>Paste by id from the drawer; null takes the first.</summary>
    public string? PasteId { get; init; }

    /// <summary>The paste that is used; null where the drawer holds none.</summary>
    public PasteStock? Paste => Drawer.PasteOr(PasteId);

    /// <summary>Ends the plan when its caller leaves.</summary>
    public CancellationToken Cancel { get; init; }
}

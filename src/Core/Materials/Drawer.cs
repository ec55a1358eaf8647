namespace FaithfulBracket.Core.Materials;

/// <summary>Sheets, strips or offcuts of pad, mm.</summary>
public sealed record PadStock(
    string Id,
    string Material,
    double ThicknessMm,
    double WidthMm,
    double DepthMm,
    int Count,
    bool Offcut
);

/// <summary>A tube of paste.</summary>
/// <param name="MonthsToRepaste">How long the shop trusts it, months.</param>
public sealed record PasteStock(string Id, PasteMaterial Material, double GramsLeft, int MonthsToRepaste)
{
    /// <summary>Bore of a syringe that nobody measured, mm.</summary>
    public const double DefaultBoreMm = 9.5;

    /// <summary>When the tube was opened; null while it is sealed or nobody said.</summary>
    public DateOnly? OpenedOn { get; init; }

    /// <summary>How long it keeps once opened, months; null where nobody said.</summary>
    public int? ShelfMonths { get; init; }

    /// <summary>The last day that it is good for.</summary>
    public DateOnly? UseBy => OpenedOn is { } opened && ShelfMonths is { } months ? opened.AddMonths(months) : null;

    /// <summary>Bore of its syringe, mm.</summary>
    public double BoreMm { get; init; } = DefaultBoreMm;

    /// <summary>Plunger travel that is left, mm.</summary>
    public double PlungerMm => GramsLeft / Material.DensityGPerMl * 1000 / (Math.PI * BoreMm * BoreMm / 4);
}

public sealed record ScrewStock(string Id, string Thread, double LengthMm, int Count);

/// <summary>A tool by name; drivers by their tip, such as T6 or PH1.</summary>
public sealed record Tool(string Id, string Name);

/// <summary>Something of which less is left than the shop wants to have.</summary>
/// <param name="Unit">Empty where it is counted.</param>
public sealed record LowStock(string Id, string Name, double Left, double LowAt, string Unit);

/// <param name="LowAt">Less than this runs short.</param>
/// <param name="WaitS">How long it has to work before wiping, s.</param>
public sealed record Consumable(string Id, string Name, double Amount, string Unit, double LowAt, int? WaitS);

/// <summary>What the shop holds.</summary>
public sealed record Drawer
{
    public static readonly Drawer Empty = new();

    public IReadOnlyList<PadMaterial> Materials { get; init; } = [];
    public IReadOnlyList<PadStock> Pads { get; init; } = [];
    public IReadOnlyList<PasteStock> Pastes { get; init; } = [];
    public IReadOnlyList<ScrewStock> Screws { get; init; } = [];
    public IReadOnlyList<Tool> Tools { get; init; } = [];
    public IReadOnlyList<Consumable> Consumables { get; init; } = [];

    /// <summary>A tube with less than this runs short, g.</summary>
    public const double LowTubeG = 1;

    /// <summary>What runs short.</summary>
    public IReadOnlyList<LowStock> Low() =>
        [
            .. Consumables
                .Where(c => c.Amount < c.LowAt)
                .Select(c => new LowStock(c.Id, c.Name, c.Amount, c.LowAt, c.Unit)),
            .. Pastes
                .Where(p => p.GramsLeft < LowTubeG)
                .Select(p => new LowStock(p.Id, p.Material.Id ?? p.Id, Math.Round(p.GramsLeft, 1), LowTubeG, "g")),
        ];

    /// <summary>What runs short, in words.</summary>
    public IReadOnlyList<string> RunsShort() =>
        [.. Low().Select(l => FormattableString.Invariant($"{l.Name}: {l.Left:0.##} {l.Unit}"))];

    /// <summary>Every pad material by its id.</summary>
    public IReadOnlyDictionary<string, PadMaterial> MaterialById() =>
        Materials.DistinctBy(m => m.Id).ToDictionary(m => m.Id);

    /// <summary>The paste by id; else the first that is no liquid metal, which nobody gets without asking.</summary>
    public PasteStock? PasteOr(string? id) =>
        Pastes.FirstOrDefault(p => id is not null && (p.Material.Id == id || p.Id == id))
        ?? Pastes.FirstOrDefault(p => !p.Material.LiquidMetal);
}

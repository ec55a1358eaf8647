namespace FaithfulBracket.Core.Prove.Faults;

/// <summary>Where a fault can sit. What no sensor tells apart is one group.</summary>
/// <param name="At">The part; null for what concerns the whole.</param>
/// <param name="Sensor">The sensor that is read wrong.</param>
/// <param name="Sign">Which way a reading is wrong; 1 otherwise.</param>
internal sealed record FaultPlace(FaultKind Kind, string Group, string? At, int Corner, int? Sensor, double Sign)
{
    /// <summary>Nothing is wrong.</summary>
    public static readonly FaultPlace None = new(FaultKind.None, $"{FaultKind.None}", null, 0, null, 1);

    public static readonly IReadOnlyList<string> Corners = ["lower left", "lower right", "upper right", "upper left"];

    /// <param name="seen">Looks tell parts apart that a sensor does not.</param>
    public static IReadOnlyList<FaultPlace> Find(
        FaultBench bench,
        IReadOnlyList<FaultSensor> sensors,
        IReadOnlyList<ImprintLook> seen,
        FaultKind kind
    )
    {
        string Seen(FaultPart p) => string.Join(",", sensors.Where(s => s.Parts.Contains(p)).Select(s => s.Index));
        // a part that nobody reads and nobody looked at is left out
        bool Looked(FaultPart p) => seen.Any(l => l.Part == p.Id);
        List<FaultPlace> At(Func<FaultPart, bool> which) =>
            [
                .. bench
                    .Parts.Where(p => which(p) && (Seen(p).Length > 0 || Looked(p)))
                    .Select(p => new FaultPlace(
                        kind,
                        $"{kind}@{Seen(p)}{(Looked(p) ? $"/{p.Id}" : "")}",
                        p.Id,
                        0,
                        null,
                        1
                    )),
            ];
        return kind switch
        {
            FaultKind.FilmLeft or FaultKind.PadMissing or FaultKind.PadThin => At(p => !p.IsDie && p.Watts > 0),
            FaultKind.PasteVoid or FaultKind.PumpOut => At(p => p.IsDie),
            FaultKind.Tilt =>
            [
                .. Enumerable
                    .Range(0, Corners.Count)
                    .Select(c => new FaultPlace(kind, $"{kind}@{c}", null, c, null, 1)),
            ],
            // each sensor may show too much or too little; a power misread moves all alike
            FaultKind.Misread =>
            [
                .. sensors.SelectMany(s =>
                    new[] { 1.0, -1 }.Select(sign => new FaultPlace(kind, $"{kind}@{s.Index}", null, 0, s.Index, sign))
                ),
                new(kind, $"{kind}@power", null, 0, null, 1),
                new(kind, $"{kind}@power", null, 0, null, -1),
            ],
            _ => [new(kind, $"{kind}", null, 0, null, 1)],
        };
    }

    /// <summary>What a part runs at with the fault here. A sensor that is read wrong warms nothing.</summary>
    public PartHeat Heat(FaultBench bench, FaultPart part, double size)
    {
        var (c, land, own) =
            Kind == FaultKind.Misread
                ? bench.With(part, FaultKind.None, null, 0, 0)
                : bench.With(part, Kind, At, Corner, size);
        if (Kind != FaultKind.Misread || Sensor is not null)
            return new(c, land, own);
        // power misread by so many per cent: every rise goes with it
        var share = PowerShare(size);
        return new(c + (share - 1) * (land + own), share * land, share * own);
    }

    /// <summary>Of the power that is believed.</summary>
    public double PowerShare(double size) => Kind == FaultKind.Misread && Sensor is null ? 1 + Sign * size / 100 : 1;

    /// <summary>What a sensor shows too much, K.</summary>
    public double OffK(double size) => Sensor is null ? 0 : Sign * size;
}

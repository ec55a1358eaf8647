namespace FaithfulBracket.Core.Prove.Faults;

/// <param name="Parts">Where it sits; several where no sensor tells them apart, none where it concerns the whole.</param>
/// <param name="Corner">Which corner of the block stands high, as seen from the front; null where none is meant.</param>
/// <param name="Size">Likeliest, in <paramref name="Unit"/>.</param>
/// <param name="Check">The one look or reading that settles it.</param>
public sealed record FaultHypothesis(
    FaultKind Kind,
    IReadOnlyList<string> Parts,
    string? Corner,
    double Size,
    string Unit,
    double Probability,
    IReadOnlyList<SensorEffect> EffectK,
    string Check
)
{
    /// <summary>What it is, in the words of the bench.</summary>
    public string Name => FaultChecks.Name(Kind);
}

/// <param name="BestCheck">What tells the first two apart best.</param>
public sealed record FaultResult(
    IReadOnlyList<SensorExpected> Expected,
    IReadOnlyList<FaultHypothesis> Hypotheses,
    string BestCheck
)
{
    /// <summary>The one reading that would tell most; null where what is known is enough, or no reading would help.</summary>
    public NextReading? NextReading { get; init; }

    /// <summary>Why no line is to be trusted: not one of them alone explains what was read; null where one does.</summary>
    public string? Unexplained { get; init; }

    /// <summary>Whether a lift is worth it; null where no job is asked about.</summary>
    public LiftAdvice? Lift { get; init; }

    /// <summary>Likelier than not: it stands in the headline.</summary>
    private const double MinDoubt = 0.5;

    /// <summary>Whether the first suspicion is likelier than not, and is one.</summary>
    public bool Doubt => Hypotheses is [{ Kind: not FaultKind.None, Probability: >= MinDoubt }, ..];

    /// <summary>Less likely than this is not worth a line; nor is a sixth.</summary>
    private const double MinWorth = 0.03;
    private const int MaxWorth = 5;

    /// <summary>How many of the first are worth telling.</summary>
    public int WorthTelling =>
        Hypotheses.Take(MaxWorth).TakeWhile((h, i) => i == 0 || h.Probability >= MinWorth).Count();
}

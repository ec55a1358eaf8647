namespace FaithfulBracket.Core.Match;

/// <summary>Normal deviates from a seed: SplitMix64 (Steele, Lea and Flood 2014) and the polar method (Marsaglia and Bray 1964).</summary>
public sealed class NormalDraws(ulong seed)
{
    private ulong _state = seed;
    private double? _spare;

    /// <summary>Uniform in [0, 1).</summary>
    public double Uniform()
    {
        var z = _state += 0x9E3779B97F4A7C15;
        z = (z ^ (z >> 30)) * 0xBF58476D1CE4E5B9;
        z = (z ^ (z >> 27)) * 0x94D049BB133111EB;
        return ((z ^ (z >> 31)) >> 11) * (1.0 / (1UL << 53));
    }

    /// <summary>Mean 0, standard deviation 1.</summary>
    public double Next()
    {
        if (_spare is { } spare)
        {
            _spare = null;
            return spare;
        }
        double u,
            v,
            s;
        do
        {
            u = 2 * Uniform() - 1;
            v = 2 * Uniform() - 1;
            s = u * u + v * v;
        } while (s is >= 1 or 0);
        var k = Math.Sqrt(-2 * Math.Log(s) / s);
        _spare = v * k;
        return u * k;
    }
}

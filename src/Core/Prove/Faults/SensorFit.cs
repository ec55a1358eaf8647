namespace FaithfulBracket.Core.Prove.Faults;

/// <summary>Readings against what is expected of them, Σ = D + F·Fᵀ: how likely they are, and what they say of the errors in common.</summary>
/// <param name="sensors">How many.</param>
/// <param name="columns">Errors in common.</param>
internal sealed class SensorFit(int sensors, int columns)
{
    private readonly double[] _rows = new double[sensors * columns],
        _missK = new double[sensors],
        _variance = new double[sensors],
        _lower = new double[columns * columns],
        _common = new double[columns];
    private double _chi,
        _logs;

    /// <summary>What each error in common adds at a sensor: to be filled.</summary>
    public Span<double> Row(int sensor) => _rows.AsSpan(sensor * columns, columns);

    /// <param name="missK">Read less expected.</param>
    /// <param name="variance">What is the sensor's own.</param>
    public void Take(int sensor, double missK, double variance) =>
        (_missK[sensor], _variance[sensor]) = (missK, variance);

    /// <summary>Once all sensors are taken: Cholesky's factor of I + Fᵀ·D⁻¹·F.</summary>
    public void Factor()
    {
        for (var i = 0; i < columns; i++)
            _lower[i * columns + i] = 1;
        for (var s = 0; s < sensors; s++)
        {
            var row = Row(s);
            var (r, d) = (_missK[s], _variance[s]);
            _chi += r * r / d;
            _logs += Math.Log(2 * Math.PI * d);
            for (var i = 0; i < columns; i++)
            {
                if (row[i] == 0)
                    continue;
                _common[i] += row[i] * r / d;
                for (var j = 0; j <= i; j++)
                    _lower[i * columns + j] += row[i] * row[j] / d;
            }
        }
        for (var i = 0; i < columns; i++)
        {
            for (var j = 0; j <= i; j++)
            {
                var sum = _lower[i * columns + j];
                for (var m = 0; m < j; m++)
                    sum -= _lower[i * columns + m] * _lower[j * columns + m];
                _lower[i * columns + j] = i == j ? Math.Sqrt(sum) : sum / _lower[j * columns + j];
            }
            _logs += 2 * Math.Log(_lower[i * columns + i]);
        }
        Solve(_common);
    }

    /// <summary>Forward through the factor, in place.</summary>
    public void Solve(Span<double> v)
    {
        for (var i = 0; i < columns; i++)
        {
            for (var m = 0; m < i; m++)
                v[i] -= _lower[i * columns + m] * v[m];
            v[i] /= _lower[i * columns + i];
        }
    }

    /// <summary>What the readings say of the errors in common, through the factor.</summary>
    public double[] Common(int off, double offK)
    {
        if (off < 0)
            return _common;
        var row = Row(off).ToArray();
        Solve(row);
        for (var i = 0; i < columns; i++)
            row[i] = _common[i] - row[i] * offK / _variance[off];
        return row;
    }

    /// <summary>Log density of all readings, and their χ².</summary>
    /// <param name="off">The sensor that is read wrong; −1 for none.</param>
    /// <param name="offK">By how much.</param>
    public (double Log, double Chi2) Weigh(int off = -1, double offK = 0)
    {
        var chi = _chi;
        if (off >= 0)
            chi += offK * (offK - 2 * _missK[off]) / _variance[off];
        foreach (var c in Common(off, offK))
            chi -= c * c;
        return (-0.5 * (chi + _logs), chi);
    }
}

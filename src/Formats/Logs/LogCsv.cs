using System.Globalization;
using CsvHelper;
using CsvHelper.Configuration;
using FaithfulBracket.Core;
using FaithfulBracket.Core.Prove.Logs;
using FaithfulBracket.Formats.Layouts;
using FaithfulBracket.Formats.Words.Logs;

namespace FaithfulBracket.Formats.Logs;

/// <summary>
/// Logs as text or as a sheet of a workbook: commas, semicolons or tabs, decimal points or commas, times as seconds or
/// of the clock, empty cells, lines of other words in front of the header, a row of units below it.
/// </summary>
public sealed class LogCsv
{
    public const string InWords = "Limits: 16 MiB, 200,000 rows, 60 columns.";

    private const int MaxColumns = 60,
        Shown = 4;

    private readonly TextFile _file;
    private readonly char _separator;
    private readonly bool _decimalComma;
    private readonly int _first;
    private readonly IReadOnlyList<string> _names;

    /// <exception cref="InputException">No table of numbers, or too large.</exception>
    public LogCsv(ReadOnlyMemory<byte> content)
    {
        _file = new("log", content, "");
        (_first, _separator, _names) =
            LogHead.Find(_file.Lines)
            ?? throw new InputException("", LogCsvWords.NoHeaderWithColumnsOfNumbers(_file.Elsewhere));
        if (_names.Count > MaxColumns)
            throw new InputException("", $"{_names.Count} columns; at most {MaxColumns}.");
        var first = _file.Lines.Skip(_first).Where(l => l.Length > 0).Take(50).ToList();
        _decimalComma = _separator != ',' && first.Exists(l => l.Contains(',', StringComparison.Ordinal));
        Rows = _file.Lines.Skip(_first).Count(l => !string.IsNullOrWhiteSpace(l));
        if (Rows > BenchLog.MaxRows)
            throw new InputException("", $"{Rows} rows; at most {BenchLog.MaxRows}.");
    }

    public int Rows { get; }

    public string Signature => string.Join('|', _names).ToLowerInvariant();

    /// <param name="known">Columns that were told for this header before; null where they were not.</param>
    public LogLook Look(IReadOnlyList<LogColumn>? known)
    {
        var rows = Records().Take(Shown).Select(r => r.Cells).ToList();
        var taken = new HashSet<Channel>();
        var timed = false;
        return new(
            Signature,
            Rows,
            known is not null,
            [
                .. _names.Select(
                    (name, i) =>
                    {
                        List<string> samples = [.. rows.Select(r => i < r.Length ? r[i] : "")];
                        var guess = known is null
                            ? LogGuess.Guess(i, name, samples)
                            : known.FirstOrDefault(k => k.Index == i);
                        // each channel once: the first that looks like it
                        if (guess is { Channel: { } c } && !taken.Add(c) || guess is { Channel: null } && timed)
                            guess = null;
                        timed |= guess is { Channel: null };
                        return new LogHeader(i, name, samples, guess);
                    }
                ),
            ],
            LogRole.All
        );
    }

    /// <summary>The log, by what the columns were told to be.</summary>
    /// <exception cref="InputException">A cell that is not a number, with its line; times that do not rise.</exception>
    public BenchLog Read(IReadOnlyList<LogColumn> columns, CancellationToken cancel = default)
    {
        var time = columns.FirstOrDefault(c => c.Channel is null);
        var own = columns.Where(c => c.Channel is not null).ToList();
        if (own.Count == 0)
            throw new InputException("/columns", LogCsvWords.SayWhichColumnHoldsTemperature);
        foreach (var c in columns)
            if (c.Index < 0 || c.Index >= _names.Count || !c.Fits)
                throw new InputException(
                    "/columns",
                    LogCsvWords.ColumnCanNot(c.Index + 1, c.Channel?.Name() ?? "times")
                );
        var times = new List<double>(Rows);
        var values = own.ConvertAll(_ => new List<double>(Rows));
        var clock =
            time?.Unit == LogUnit.ClockTime
                ? LogClock.Detect(Records().Select(r => time.Index < r.Cells.Length ? r.Cells[time.Index] : ""))
                : new(false);
        double start = double.NaN,
            days = 0,
            last = double.NaN;
        foreach (var (cells, line) in Records())
        {
            if (line % 4096 == 0)
                cancel.ThrowIfCancellationRequested();
            var t = time is null ? times.Count : TimeOf(cells, time, clock, line);
            if (time?.Unit == LogUnit.ClockTime && t + days < last - 43_200)
                days += 86_400;
            t += days;
            if (double.IsNaN(start))
                start = t;
            else if (!(t > last))
            {
                // several rows of one second: spread over it
                if (t == last || Math.Abs(t - last) < 1e-9)
                    t = last + 1e-3;
                else
                    throw _file.Refuse(line + 1, LogCsvWords.TimeGoesBack);
            }
            last = t;
            times.Add(t - start);
            for (var k = 0; k < own.Count; k++)
                values[k].Add(Value(cells, own[k], line));
        }
        return times.Count < 2
            ? throw new InputException("", LogCsvWords.LogHasFewerThanTwoRows)
            : new(times, [.. own.Select((c, k) => new LogSeries(c.Channel!.Value, values[k]))]);
    }

    /// <summary>Cells of every row below the header, with the index of its line.</summary>
    private IEnumerable<(string[] Cells, int Line)> Records()
    {
        using var text = new StringReader(string.Join('\n', _file.Lines.Skip(_first)));
        using var parser = new CsvParser(
            text,
            new CsvConfiguration(CultureInfo.InvariantCulture)
            {
                Delimiter = _separator.ToString(),
                TrimOptions = TrimOptions.Trim,
                BadDataFound = null,
            }
        );
        while (parser.Read())
            yield return (parser.Record!, _first - 1 + parser.RawRow);
    }

    private double Value(string[] cells, LogColumn column, int line)
    {
        var text = column.Index < cells.Length ? cells[column.Index] : "";
        if (text.Length == 0 || text is "-" or "--" or "N/A" or "n/a" or "NaN" or "nan")
            return double.NaN;
        return Number(text) is { } v
            ? column.Convert(v)
            : throw _file.Refuse(line + 1, LogCsvWords.InColumnIsNoNumber(Short(text), Short(_names[column.Index])));
    }

    private double TimeOf(string[] cells, LogColumn column, LogClock clock, int line)
    {
        var text = column.Index < cells.Length ? cells[column.Index] : "";
        if (column.Unit != LogUnit.ClockTime)
            return Number(text) is { } v
                ? column.Convert(v)
                : throw _file.Refuse(line + 1, $"\"{Short(text)}\" is no time.");
        if (clock.Seconds(text) is { } seconds)
            return seconds;
        throw _file.Refuse(line + 1, LogCsvWords.IsNotTimeOfClock(Short(text)));
    }

    private double? Number(string text)
    {
        if (_decimalComma)
            text = text.Replace(',', '.');
        return double.TryParse(text, NumberStyles.Float, CultureInfo.InvariantCulture, out var v) && double.IsFinite(v)
            ? v
            : null;
    }

    private static string Short(string text) => text.Length > 40 ? text[..40] : text;
}

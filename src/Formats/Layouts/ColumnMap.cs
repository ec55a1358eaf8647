namespace FaithfulBracket.Formats.Layouts;

/// <summary>What a column of a table may hold.</summary>
public enum Column
{
    What,
    Id,
    X,
    Y,
    Rotation,
    Face,
    Height,
    Diameter,
    Width,
    Depth,
    Kind,
    Slot,
    SlotAngle,
    Plated,
    Package,
}

/// <summary>What the columns of one kind of table mean.</summary>
/// <param name="Columns">Index of each column that is used, from 0.</param>
/// <param name="Units">Of lengths without a unit of their own; null leaves it to the file.</param>
public sealed record ColumnMap(IReadOnlyDictionary<Column, int> Columns, LengthUnit? Units);

/// <summary>A table as it stands in a file.</summary>
/// <param name="Line">Of the header, from 1.</param>
/// <param name="Signature">The header's cells, letters and digits only: tables of one program share it.</param>
/// <param name="Rows">The first rows below the header.</param>
/// <param name="Columns">As told, or as understood by name.</param>
/// <param name="Told">Whether somebody said what the columns mean.</param>
public sealed record TableLook(
    string File,
    int Line,
    string Signature,
    IReadOnlyList<string> Headers,
    IReadOnlyList<IReadOnlyList<string>> Rows,
    IReadOnlyDictionary<Column, int> Columns,
    LengthUnit? Units,
    bool Told
);

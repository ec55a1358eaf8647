namespace FaithfulBracket.Core.Boards;

/// <summary>How a figure of a board or block came to be known, the least sure first.</summary>
public enum FigureGrade
{
    /// <summary>Taken from the board that a block is for, or from one like it; nobody has looked.</summary>
    Assumed,

    /// <summary>From the maker's manual.</summary>
    Manual,

    /// <summary>By gauge, caliper or impression.</summary>
    Measured,

    /// <summary>Borne out by a finished job.</summary>
    Proved,
}

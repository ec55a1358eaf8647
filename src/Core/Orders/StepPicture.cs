namespace FaithfulBracket.Core.Orders;

/// <summary>What is drawn beside a step where the board on the mat does not show it.</summary>
public enum StepPicture
{
    /// <summary>A jet plate's slit across the fins, the wrong way beside it.</summary>
    Slit,

    /// <summary>A ring in its groove, and one that rides up.</summary>
    Ring,

    /// <summary>Screws closed by turns, and one corner first.</summary>
    Evenly,

    /// <summary>A package in the jig, mark to mark, and the wrong way round.</summary>
    Jig,

    /// <summary>A gasket's notch over the socket's own, and beside it.</summary>
    Gasket,

    /// <summary>A coat over the parts and off the old glue line, and over it.</summary>
    Coat,

    /// <summary>A spring that just grips, and one screwed down alone.</summary>
    Grip,
}

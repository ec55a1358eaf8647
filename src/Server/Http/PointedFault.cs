using FaithfulBracket.Core;

namespace FaithfulBracket.Server.Http;

/// <summary>A fault as callers read it.</summary>
/// <param name="Pointer">JSON pointer (RFC 6901) into the body, or ?name for what stands in the address.</param>
internal sealed record PointedFault(string Pointer, string Message)
{
    /// <summary>What the rules name by a field, told by its place in what was sent.</summary>
    /// <param name="sign">/ for a field of the body, ? for a part of the address.</param>
    public static IReadOnlyList<PointedFault> All(IEnumerable<InputFault> faults, char sign = '/') =>
        [
            .. faults.Select(f => new PointedFault(
                f.Field is [] or ['/' or '?', ..] ? f.Field : sign + f.Field,
                f.Message
            )),
        ];
}

namespace FaithfulBracket.Core;

/// <summary>Input that breaks a rule of the trade or of a document; every fault has a place and a sentence.</summary>
public sealed class InputException(IReadOnlyList<InputFault> faults)
    : Exception(string.Join(" ", faults.Select(f => $"{f.Pointer}: {f.Message}")))
{
    public InputException(string pointer, string message)
        : this([new(pointer, message)]) { }

    public IReadOnlyList<InputFault> Faults { get; } = faults;
}

/// <param name="Pointer">JSON pointer (RFC 6901) to the field.</param>
/// <param name="Message">What was found, what is expected, and the fix.</param>
public sealed record InputFault(string Pointer, string Message);

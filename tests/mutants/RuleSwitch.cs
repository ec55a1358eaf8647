using Mono.Cecil;
using Mono.Cecil.Cil;

namespace FaithfulBracket.Mutants;

/// <summary>
/// The question "is this change on?" stands at every changed rule, in the innermost loops too. As the tool writes it, it takes a lock and
/// searches a list while it is watched; here it is a comparison, or a mark in a row of marks.
/// </summary>
internal static class RuleSwitch
{
    public const string Control = "MutantControl",
        Active = "ActiveMutant",
        Marks = "Marks";

    /// <summary>Rewrites that question in the built core.</summary>
    public static void Quicken(string core)
    {
        var bytes = new MemoryStream(File.ReadAllBytes(core));
        using var assembly = AssemblyDefinition.ReadAssembly(bytes);
        var module = assembly.MainModule;
        var control = module.Types.Single(t => t.Name == Control);
        if (control.Fields.Any(f => f.Name == Marks))
            return;
        var marks = new FieldDefinition(
            Marks,
            FieldAttributes.Public | FieldAttributes.Static,
            new ArrayType(module.TypeSystem.Byte)
        );
        control.Fields.Add(marks);
        var active = control.Fields.Single(f => f.Name == Active);
        var body = control.Methods.Single(m => m.Name == "IsActive").Body;
        body.Instructions.Clear();
        body.Variables.Clear();
        body.ExceptionHandlers.Clear();
        var il = body.GetILProcessor();
        var compare = il.Create(OpCodes.Ldarg_0);
        il.Emit(OpCodes.Ldsfld, marks);
        il.Emit(OpCodes.Brfalse_S, compare);
        il.Emit(OpCodes.Ldsfld, marks);
        il.Emit(OpCodes.Ldarg_0);
        il.Emit(OpCodes.Ldc_I4_1);
        il.Emit(OpCodes.Stelem_I1);
        il.Emit(OpCodes.Ldc_I4_0);
        il.Emit(OpCodes.Ret);
        il.Append(compare);
        il.Emit(OpCodes.Ldsfld, active);
        il.Emit(OpCodes.Ceq);
        il.Emit(OpCodes.Ret);
        assembly.Write(core);
    }
}

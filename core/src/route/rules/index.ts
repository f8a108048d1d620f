import type { Rule } from '../rule.ts';
import { blastThin as stripBlastThin } from './strip/blastThin.ts';
import { blastMachined as stripBlastMachined } from './strip/blastMachined.ts';
import { blastAssembled as stripBlastAssembled } from './strip/blastAssembled.ts';
import { whiteMetalMask as stripWhiteMetalMask } from './strip/whiteMetalMask.ts';
import { sealsBath as stripSealsBath } from './strip/sealsBath.ts';
import { ironMedia as stripIronMedia } from './strip/ironMedia.ts';
import { dryIceRust as stripDryIceRust } from './strip/dryIceRust.ts';
import { bathMetals as stripBathMetals } from './strip/bathMetals.ts';
import { bathSize as stripBathSize } from './strip/bathSize.ts';
import { causticSeams as stripCausticSeams } from './strip/causticSeams.ts';
import { solventPlastics as stripSolventPlastics } from './strip/solventPlastics.ts';
import { solventSeams as stripSolventSeams } from './strip/solventSeams.ts';
import { hydrogen as stripHydrogen } from './strip/hydrogen.ts';
import { needleThin as stripNeedleThin } from './strip/needleThin.ts';
import { heatGunLead as stripHeatGunLead } from './strip/heatGunLead.ts';
import { discEdges as stripDiscEdges } from './strip/discEdges.ts';
import { discClad as stripDiscClad } from './strip/discClad.ts';
import { wireBurnish as stripWireBurnish } from './strip/wireBurnish.ts';
import { wireAluminium as stripWireAluminium } from './strip/wireAluminium.ts';
import { legacyTest as stripLegacyTest } from './strip/legacyTest.ts';
import { legacyDust as stripLegacyDust } from './strip/legacyDust.ts';
import { keepUnsound as stripKeepUnsound } from './strip/keepUnsound.ts';
import { keepEtch as stripKeepEtch } from './strip/keepEtch.ts';
import { keepShow as stripKeepShow } from './strip/keepShow.ts';
import { keepRust as stripKeepRust } from './strip/keepRust.ts';
import { facility as stripFacility } from './strip/facility.ts';
import { lagging as stripLagging } from './strip/lagging.ts';
import { fuelTank as stripFuelTank } from './strip/fuelTank.ts';
import { scaleHand as stripScaleHand } from './strip/scaleHand.ts';
import { wheelSchool as stripWheelSchool } from './strip/wheelSchool.ts';
import { blastFirst as stripBlastFirst } from './strip/blastFirst.ts';
import { keepSchool as stripKeepSchool } from './strip/keepSchool.ts';
import { stripSchool as stripStripSchool } from './strip/stripSchool.ts';
import { degreaseFirst as prepDegreaseFirst } from './prep/degreaseFirst.ts';
import { oilSoaked as prepOilSoaked } from './prep/oilSoaked.ts';
import { glueFirst as prepGlueFirst } from './prep/glueFirst.ts';
import { zincSalts as prepZincSalts } from './prep/zincSalts.ts';
import { warmOut as prepWarmOut } from './prep/warmOut.ts';
import { phosphateMetals as prepPhosphateMetals } from './prep/phosphateMetals.ts';
import { conversionMetals as prepConversionMetals } from './prep/conversionMetals.ts';
import { conversionFirst as prepConversionFirst } from './prep/conversionFirst.ts';
import { galvanised as prepGalvanised } from './prep/galvanised.ts';
import { saltTest as prepSaltTest } from './prep/saltTest.ts';
import { flashRust as prepFlashRust } from './prep/flashRust.ts';
import { inspectBare as prepInspectBare } from './prep/inspectBare.ts';
import { recordFirst as prepRecordFirst } from './prep/recordFirst.ts';
import { testFit as prepTestFit } from './prep/testFit.ts';
import { blastDust as prepBlastDust } from './prep/blastDust.ts';
import { keyOld as prepKeyOld } from './prep/keyOld.ts';
import { listed as metalListed } from './metal/listed.ts';
import { diecastTrial as metalDiecastTrial } from './metal/diecastTrial.ts';
import { magnesium as metalMagnesium } from './metal/magnesium.ts';
import { direct as metalDirect } from './metal/direct.ts';
import { castingSchool as metalCastingSchool } from './metal/castingSchool.ts';
import { aluminiumWarn as metalAluminiumWarn } from './metal/aluminiumWarn.ts';
import { overPaint as etchOverPaint } from './etch/overPaint.ts';
import { overPhosphate as etchOverPhosphate } from './etch/overPhosphate.ts';
import { overConversion as etchOverConversion } from './etch/overConversion.ts';
import { overFiller as etchOverFiller } from './etch/overFiller.ts';
import { follower as etchFollower } from './etch/follower.ts';
import { fillerOn as etchFillerOn } from './etch/fillerOn.ts';
import { alone as etchAlone } from './etch/alone.ts';
import { totalFilm as etchTotalFilm } from './etch/totalFilm.ts';
import { school as etchSchool } from './etch/school.ts';
import { wetOnWetListed as etchWetOnWetListed } from './etch/wetOnWetListed.ts';
import { steelOnly as zincSteelOnly } from './zinc/steelOnly.ts';
import { blasted as zincBlasted } from './zinc/blasted.ts';
import { phosphate as zincPhosphate } from './zinc/phosphate.ts';
import { oldPaint as zincOldPaint } from './zinc/oldPaint.ts';
import { gun as zincGun } from './zinc/gun.ts';
import { alkydOver as zincAlkydOver } from './zinc/alkydOver.ts';
import { exposed as zincExposed } from './zinc/exposed.ts';
import { notTheSame as zincNotTheSame } from './zinc/notTheSame.ts';
import { mist as zincMist } from './zinc/mist.ts';
import { twoOverOne as overTwoOverOne } from './over/twoOverOne.ts';
import { oldOnePack as overOldOnePack } from './over/oldOnePack.ts';
import { bitumen as overBitumen } from './over/bitumen.ts';
import { sheetForbids as overSheetForbids } from './over/sheetForbids.ts';
import { strongSolvent as overStrongSolvent } from './over/strongSolvent.ts';
import { nobleMetal as overNobleMetal } from './over/nobleMetal.ts';
import { fillerPlace as overFillerPlace } from './over/fillerPlace.ts';
import { baseClear as overBaseClear } from './over/baseClear.ts';
import { metallic as overMetallic } from './over/metallic.ts';
import { clearAlone as overClearAlone } from './over/clearAlone.ts';
import { limit as heatLimit } from './heat/limit.ts';
import { bake as heatBake } from './heat/bake.ts';
import { onlyHot as heatOnlyHot } from './heat/onlyHot.ts';
import { primer as heatPrimer } from './heat/primer.ts';
import { clearance as fitClearance } from './fit/clearance.ts';
import { bare as fitBare } from './fit/bare.ts';
import { boltFaces as fitBoltFaces } from './fit/boltFaces.ts';
import { unmask as fitUnmask } from './fit/unmask.ts';
import { sun as finishSun } from './finish/sun.ts';
import { standsAlone as finishStandsAlone } from './finish/standsAlone.ts';
import { fuel as finishFuel } from './finish/fuel.ts';
import { brushShow as finishBrushShow } from './finish/brushShow.ts';
import { showLook as finishShowLook } from './finish/showLook.ts';
import { levelPits as finishLevelPits } from './finish/levelPits.ts';
import { tooMuch as finishTooMuch } from './finish/tooMuch.ts';
import { weathers as finishWeathers } from './finish/weathers.ts';
import { chips as finishChips } from './finish/chips.ts';
import { oneBatch as finishOneBatch } from './finish/oneBatch.ts';
import { pairAlike as finishPairAlike } from './finish/pairAlike.ts';
import { holdPrimer as finishHoldPrimer } from './finish/holdPrimer.ts';
import { holdSchool as finishHoldSchool } from './finish/holdSchool.ts';
import { minFilm as protectMinFilm } from './protect/minFilm.ts';
import { thinPrimer as protectThinPrimer } from './protect/thinPrimer.ts';
import { stripe as protectStripe } from './protect/stripe.ts';
import { waterTraps as protectWaterTraps } from './protect/waterTraps.ts';
import { cavityLast as protectCavityLast } from './protect/cavityLast.ts';
import { boxSection as protectBoxSection } from './protect/boxSection.ts';
import { galvanic as protectGalvanic } from './protect/galvanic.ts';
import { immersion as protectImmersion } from './protect/immersion.ts';
import { isocyanate as workIsocyanate } from './work/isocyanate.ts';
import { tool as workTool } from './work/tool.ts';
import { sandCured as workSandCured } from './work/sandCured.ts';
import { powder as workPowder } from './work/powder.ts';
import { legacyProduct as workLegacyProduct } from './work/legacyProduct.ts';
import { controlSurface as workControlSurface } from './work/controlSurface.ts';
import { toolSchool as workToolSchool } from './work/toolSchool.ts';
import { assemblySchool as workAssemblySchool } from './work/assemblySchool.ts';
import { cureBeforeUse as workCureBeforeUse } from './work/cureBeforeUse.ts';
import { unknownProduct as workUnknownProduct } from './work/unknownProduct.ts';

/** Every rule, in the order reasons are listed. */
export const RULES: readonly Rule[] = [
  stripBlastThin,
  stripBlastMachined,
  stripBlastAssembled,
  stripWhiteMetalMask,
  stripSealsBath,
  stripIronMedia,
  stripDryIceRust,
  stripBathMetals,
  stripBathSize,
  stripCausticSeams,
  stripSolventPlastics,
  stripSolventSeams,
  stripHydrogen,
  stripNeedleThin,
  stripHeatGunLead,
  stripDiscEdges,
  stripDiscClad,
  stripWireBurnish,
  stripWireAluminium,
  stripLegacyTest,
  stripLegacyDust,
  stripKeepUnsound,
  stripKeepEtch,
  stripKeepShow,
  stripKeepRust,
  stripFacility,
  stripLagging,
  stripFuelTank,
  stripScaleHand,
  stripWheelSchool,
  stripBlastFirst,
  stripKeepSchool,
  stripStripSchool,
  prepDegreaseFirst,
  prepOilSoaked,
  prepGlueFirst,
  prepZincSalts,
  prepWarmOut,
  prepPhosphateMetals,
  prepConversionMetals,
  prepConversionFirst,
  prepGalvanised,
  prepSaltTest,
  prepFlashRust,
  prepInspectBare,
  prepRecordFirst,
  prepTestFit,
  prepBlastDust,
  prepKeyOld,
  metalListed,
  metalDiecastTrial,
  metalMagnesium,
  metalDirect,
  metalCastingSchool,
  metalAluminiumWarn,
  etchOverPaint,
  etchOverPhosphate,
  etchOverConversion,
  etchOverFiller,
  etchFollower,
  etchFillerOn,
  etchAlone,
  etchTotalFilm,
  etchSchool,
  etchWetOnWetListed,
  zincSteelOnly,
  zincBlasted,
  zincPhosphate,
  zincOldPaint,
  zincGun,
  zincAlkydOver,
  zincExposed,
  zincNotTheSame,
  zincMist,
  overTwoOverOne,
  overOldOnePack,
  overBitumen,
  overSheetForbids,
  overStrongSolvent,
  overNobleMetal,
  overFillerPlace,
  overBaseClear,
  overMetallic,
  overClearAlone,
  heatLimit,
  heatBake,
  heatOnlyHot,
  heatPrimer,
  fitClearance,
  fitBare,
  fitBoltFaces,
  fitUnmask,
  finishSun,
  finishStandsAlone,
  finishFuel,
  finishBrushShow,
  finishShowLook,
  finishLevelPits,
  finishTooMuch,
  finishWeathers,
  finishChips,
  finishOneBatch,
  finishPairAlike,
  finishHoldPrimer,
  finishHoldSchool,
  protectMinFilm,
  protectThinPrimer,
  protectStripe,
  protectWaterTraps,
  protectCavityLast,
  protectBoxSection,
  protectGalvanic,
  protectImmersion,
  workIsocyanate,
  workTool,
  workSandCured,
  workPowder,
  workLegacyProduct,
  workControlSurface,
  workToolSchool,
  workAssemblySchool,
  workCureBeforeUse,
  workUnknownProduct,
];

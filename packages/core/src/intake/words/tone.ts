import type { ItemLine } from './item.ts';

/** Polarity, time and certainty. */
export const TONE: readonly ItemLine[] = [
  [
    'no|not|never|without|isnt|wasnt|arent|werent|dont|doesnt|didnt|hasnt|havent|hadnt|cant|cannot|couldnt|wont|aint|neither|nor|without any|not any|free of|free from|nothing|lack of|no sign of|no signs of|no trace of|no sign|not a|there isnt|isnt any|cant feel any|couldnt feel any|cant hear any|cant find any|found no|couldnt find any|couldnt hear any|no obvious|no visible|not even|doesnt have|has no|have no|hasnt any|hasnt got|didnt find any|does not|do not|did not|is not|was not|has not|have not|are not|cant see any|never any|never had|with no|no more than no',
    { is: 'not' },
  ],
  [
    'no longer active|no longer present|not present at this time|not active|not present|not currently present|inactive now|no longer stored|is not active',
    { is: 'nothingSaid' },
  ],
  [
    'no wonder|no doubt|not only|not just|no reader|no problem|no idea|not sure|not certain|no good|nothing else|nothing else lit|not bad|no rush|no hurry|no matter|not too bad|no thanks|no worries|not yet sure|not long ago|not so long ago|no chance|no end of|not before time|no stopping|no later than',
    { is: 'nothingSaid' },
  ],
  ['hardly|barely|only just', { is: 'nothingSaid' }],
  ['only|just|solely|nothing but', { is: 'only' }],
  [
    'used to|no longer|any more|anymore|not any more|cured now|works again|working again|work again|is back to normal|back to normal|fine again|ok again|fine since then|is cured|that is cured|not now|isnt now|not any longer|better now|fine now|ok now|since cured|has been cured|was cured|no more|is fine again|is ok again|is working again|sorted now|is sorted|fine since|ok since then|been ok since then|has been fine since|was fine after|all right now|normal again|is normal now|is normal again|never again',
    { is: 'gone' },
  ],
  [
    'gone|has gone|have gone|went|went away|goes away|go away|gone away|disappeared|disappears|stopped|stops|has stopped|went out|gone out|has gone out|goes out|go out|go off|gone off|went off|goes off|has gone off|that went|cleared up|is gone|has cleared|vanished|has disappeared|out now|off now|that has gone|thats gone|went quiet|is out again|is out now|is off again|have gone out|turned itself off|switched itself off|extinguished',
    { is: 'gone', verb: true },
  ],
  [
    'by itself|on its own|by themselves|on their own|of its own accord|itself|all by itself|without doing anything|with nothing done|for no reason',
    { is: 'byItself' },
  ],
  ['still|still on|stays|stay|remains|stayed', { is: 'stays' }],
  [
    'again|is back|came back|came back on|comes back|back on|is back on|returned|back again|back',
    { is: 'again' },
  ],
  [
    'cant say|couldnt say|cant be sure|couldnt swear|cant swear|not sure there|not sure that|hard to say|hard to tell|wouldnt swear|i couldnt say|not convinced|dont think|doubt|supposedly|apparently he thinks|maybe|might|could be|perhaps|possibly|may be|if|is it|is there|was it|could it|might be|not sure if|not sure whether|wonder|wonders|wondering|whether|what if|suspect|suspects|i think its|should there be|can you tell if|would it|could that be|unless|in case',
    { is: 'doubt' },
  ],
  [
    'would a|would the|would it|could a|will a|would that|want|wants|need|needs|needing|order|sell|price for|price of|price on|quote|buy|buying|looking for|after a|get a|has to be|should be|must be|to be|wants to|would like|thinking of|was going to|were going to|going to|should i|should we|shall i|do you|have you|can you|do i|would you|intend to|planning|plans to|about to|ought to|is going to|meant to|never replaced|never had a|hasnt had|havent had|not been|needs a|how much|what does|considering|about fitting|before i|before we|instead of|will|ill|well|hasnt been|not yet|sell me|might as well|never changed|not replaced|not changed|wasnt changed|never fitted|not fitted|could do with|from new|only ever had|original|originals|factory|asked for|wants doing|wants replacing|needs doing|needs replacing|needs changing|due|is due|are due|next week|tomorrow|ready to fit|to fit|to go on|to put on|didnt replace|didnt change|did not replace|did not change|havent changed|havent replaced',
    { is: 'wanted' },
  ],
  [
    'ditto|same again|same on|the same on|same for|so has|so does|so is|likewise|as well|also|too|same story|same thing|same with|as is|as has|as does|same at|identical',
    { is: 'same' },
  ],
  [
    'others|the others|other three|other two|rest|the rest|remaining|remainder|everything else|every other|elsewhere|everywhere else|all others',
    { is: 'rest' },
  ],
];

<p>A bare page of the same stack, for the bench to measure against.</p>

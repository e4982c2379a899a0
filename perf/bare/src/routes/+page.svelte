<p>A page of the same stack with nothing on it.</p>
